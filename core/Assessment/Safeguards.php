<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Assessment\Health\HealthAssessment;
use Cobblestone\Assessment\Memory\MemorySheet;
use Cobblestone\Machine\Drive;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Gate;

/**
 * What every path does before it changes anything: backup, drive encryption, drive health, memory (rules A4–A7, A13).
 */
final readonly class Safeguards
{
    public function __construct(
        public BackupPlan $backup,
        public EncryptionAssessment $encryption,
        public HealthAssessment $health,
        public ?MemorySheet $memory,
    ) {
    }

    /** Everything but the backup, for a path on which nothing is erased that is not kept anyway. */
    public function withoutBackup(): Contribution
    {
        return $this->encryption->contribution->and($this->health->contribution)->and($this->memoryContribution());
    }

    public function contribution(): Contribution
    {
        return $this->backup->contribution
            ->and($this->encryption->contribution)
            ->and($this->health->contribution)
            ->and($this->memoryContribution());
    }

    public function memoryContribution(): Contribution
    {
        return $this->memory?->contribution() ?? new Contribution();
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
        return [
            'health' => $this->health->toArray(),
            'encryption' => $this->encryption->toArray(),
            'memory' => $this->memory?->toArray(),
            'backup' => $this->backup->toArray(),
        ];
    }
}
