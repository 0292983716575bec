<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Assessment\Backup\BackupFound;
use Cobblestone\Assessment\Encryption\EncryptionFound;
use Cobblestone\Assessment\Health\DriveHealth;
use Cobblestone\Assessment\Health\HealthAssessment;
use Cobblestone\Assessment\Memory\MemoryFound;
use Cobblestone\Assessment\Memory\MemorySheet;
use Cobblestone\Machine\Drive;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Gate;

/**
 * What every path does before it changes anything: backup, drive encryption, drive health, memory (rules A4–A7, A13).
 */
final readonly class Safeguards
{
    /** @param  list<Blocker>  $destination  why nothing is copied to where it was to go */
    public function __construct(
        public BackupPlan $backup,
        public EncryptionAssessment $encryption,
        public HealthAssessment $health,
        public ?MemorySheet $memory,
        private array $destination = [],
    ) {
    }

    /** Everything but the backup, for a path on which nothing is erased that is not kept anyway. */
    public function withoutBackup(): Contribution
    {
        return $this->encryption->contribution->and($this->health->contribution)->and($this->memoryContribution());
    }

    public function contribution(): Contribution
    {
        return $this->backup->contribution->and(new Contribution(blockers: $this->destination))
            ->and($this->encryption->contribution)
            ->and($this->health->contribution)
            ->and($this->memoryContribution());
    }

    public function memoryContribution(): Contribution
    {
        return $this->memory?->contribution() ?? new Contribution(assumed: [new Assumption(
            'memory.verdict',
            'Its memory is sound: nobody has tested it.',
            'A4, U2',
            Door::page('memory', 'Test it, and keep the memory sheet.'),
        )]);
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

    /**
     * @param  bool  $new  nothing is on the machine yet
     * @return array{health: list<DriveHealth>, encryption: EncryptionFound, memory: MemoryFound|null,
     *     backup: BackupFound} under the names that a path's findings have for them
     */
    public function found(bool $new = false): array
    {
        return [
            'health' => $this->health->drives,
            'encryption' => $this->encryption->found(),
            'memory' => $this->memory?->found(),
            'backup' => $new ? new BackupFound(BackupFound::BLANK) : $this->backup->found,
        ];
    }
}
