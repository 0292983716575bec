<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\BackupPlan;
use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\EncryptionAssessment;
use Cobblestone\Assessment\Health\HealthAssessment;
use Cobblestone\Assessment\Memory\MemorySheet;
use Cobblestone\Job\BriefFault;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Drive;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Gate;
use InvalidArgumentException;

/** What every path does before it changes anything: backup, drive encryption, drive health, memory (rules A4–A7, A13). */
final readonly class Protection
{
    private function __construct(public BackupPlan $backup, public EncryptionAssessment $encryption, public HealthAssessment $health, public ?MemorySheet $memory)
    {
    }

    /**
     * @param  list<Drive>  $others  drives that stay beside the one worked on
     * @param  callable(bool): EncryptionIntent  $intent  given whether something has to be kept
     * @param  bool  $writes  whether the path writes to the drive
     *
     * @throws BriefFault
     */
    public static function of(JobContext $context, ?Drive $drive, array $others, callable $intent, bool $writes): self
    {
        $memory = self::sheet($context);
        $health = HealthAssessment::assess($context->machine, $drive, $context->catalogue->healthRules(), $writes);
        $backup = BackupPlan::plan($context->machine, $drive, $context->brief->backup, $context->brief->owner, $context->policy, $health->rescueFirst(), $context->goal->keepsSystem());
        $encryption = EncryptionAssessment::assess($context->machine, $drive, $others, $intent($backup->somethingToKeep()));

        return new self($backup, $encryption, $health, $memory);
    }

    /** Everything but the backup, for a path on which nothing is erased that is not kept anyway. */
    public function withoutBackup(): Contribution
    {
        return $this->encryption->contribution->and($this->health->contribution)->and($this->memoryContribution());
    }

    public function contribution(): Contribution
    {
        return $this->backup->contribution->and($this->encryption->contribution)->and($this->health->contribution)->and($this->memoryContribution());
    }

    public function memoryContribution(): Contribution
    {
        return $this->memory?->contribution() ?? new Contribution;
    }

    /** @return list<Gate> what every step that erases, repairs or installs waits for */
    public function gates(): array
    {
        return $this->backup->gates;
    }

    /** @return list<string> */
    public function erasingWaitsFor(): array
    {
        return [...$this->backup->erasingWaitsFor, ...$this->encryption->erasingWaitsFor()];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['health' => $this->health->toArray(), 'encryption' => $this->encryption->toArray(), 'memory' => $this->memory?->toArray(), 'backup' => $this->backup->toArray()];
    }

    private static function sheet(JobContext $context): ?MemorySheet
    {
        if (! isset($context->brief->blocks['memory'])) {
            return null;
        }
        try {
            return MemorySheet::of($context->brief->blocks['memory']);
        } catch (InvalidArgumentException $e) {
            throw BriefFault::at('memory', $e->getMessage());
        }
    }
}
