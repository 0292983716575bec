<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Install\EraseStep;
use Cobblestone\Install\Keeping;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\WorksOn;

/** What stays on the target drive and what goes, with the drive cut open as it will be (rules I2, I8). */
final readonly class PartitionsPage
{
    private const DECISIONS = [
        'install.target', 'install.stays', 'install.scheme', 'install.loader', 'install.swap', 'install.left',
    ];

    private ?Drive $drive;

    /** @param  array<string, string>  $systems  identifier => name, of the catalogue */
    public function __construct(public Plan $plan, private Machine $machine, private array $systems)
    {
        $this->drive = $this->isChosen() ? TargetDrive::choose($machine)->drive : null;
    }

    /** Whether anything can stay: a drive that is fitted new holds nothing, and other kinds lay out none. */
    public function isChosen(): bool
    {
        $kind = $this->plan->job->kind->rules();

        return $this->plan->step(EraseStep::STEP) !== null && ! $kind->fitsDrive() && ! $kind->isNewBuild();
    }

    /** Why nothing can be chosen yet; empty where it can. */
    public function missing(): string
    {
        return match (true) {
            ! $this->isChosen() => 'On this path nothing of the target drive can stay.',
            $this->drive === null => 'Which drive it is, is not known yet. Read the machine on its intake page.',
            ! $this->drive->detailed => 'What is on the drive was not read. Paste `lsblk -J -b -o '
                .'+SERIAL,START,PTTYPE,PARTTYPE,FSTYPE,FSUSED,LABEL` on the intake page.',
            $this->drive->partitions === [] => 'There is no partition on it: nothing can stay.',
            default => '',
        };
    }

    /**
     * @return list<array{start: string, title: string, size: string, used: string, system: string, stays: bool}>
     */
    public function rows(): array
    {
        $stays = array_map(trim(...), explode(',', $this->machine->fact(Keeping::STAYS)->text()));

        return array_map(static fn (Partition $one): array => [
            'start' => (string) $one->startSector,
            'title' => $one->title(),
            'size' => "{$one->size->decimal()}, or {$one->size->binary()}",
            'used' => $one->used === null ? '' : $one->used->decimal(),
            'system' => $one->fileSystem ?? '',
            'stays' => in_array((string) $one->startSector, $stays, true),
        ], $this->drive->partitions ?? []);
    }

    public function other(): string
    {
        return $this->machine->fact(Keeping::OTHER)->text();
    }

    /** @return array<string, string> */
    public function others(): array
    {
        return ['' => 'none: only data stays', ...$this->systems, 'another' => 'another'];
    }

    public function core(): ?CoreFigure
    {
        return CoreSample::on($this->plan, WorksOn::Target);
    }

    /** @return list<Decision> */
    public function decisions(): array
    {
        return array_values(array_filter(array_map($this->plan->decision(...), self::DECISIONS)));
    }

    /** @return list<Blocker> what speaks against it as it is chosen */
    public function blockers(): array
    {
        return array_values(array_filter(
            $this->plan->blockers,
            static fn (Blocker $one): bool => str_starts_with($one->id, 'stays-') || $one->id === 'target-layout',
        ));
    }
}
