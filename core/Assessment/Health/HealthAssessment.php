<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Health;

use Cobblestone\Catalogue\HealthGrade;
use Cobblestone\Catalogue\HealthRule;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Text\Counted;

/** The health of the drives of a job, and what it forbids (rule A5). */
final readonly class HealthAssessment
{
    /** @param  list<DriveHealth>  $drives most urgent first */
    private function __construct(
        public array $drives,
        public ?DriveHealth $target,
        public Contribution $contribution,
    ) {
    }

    /**
     * @param  array<string, list<HealthRule>>  $rules
     * @param  bool  $written  whether the path writes to the target
     */
    public static function assess(Machine $machine, ?Drive $target, array $rules, bool $written): self
    {
        $drives = DriveHealth::all($machine->health, $rules);
        $mine = null;
        foreach ($drives as $drive) {
            if ($target !== null && $drive->serial === $target->serial) {
                $mine = $drive;
            }
        }
        // One drive inside and one read, with no serial to tell: it is that one.
        if (
            $mine === null &&
            count($drives) === 1 &&
            count($machine->internalDrives()) <= 1 &&
            ($target?->serial === null || $drives[0]->serial === 'no serial')
        ) {
            $mine = $drives[0];
        }
        $decisions = array_map(
            static fn (DriveHealth $drive): Decision => new Decision(
                "assess.health-{$drive->serial}",
                "Health of {$drive->model}",
                $drive->grade->title(),
                $drive->facts,
                [],
                [Counted::of($drive->readings, 'reading'), ...$drive->at === null ? [] : ["newest {$drive->at}"]],
                'A5',
            ),
            $drives,
        );
        $blockers =
            $written && $mine?->grade === HealthGrade::Replace
                ? self::failing($mine)
                : [];

        return new self($drives, $mine, new Contribution(
            decisions: $decisions,
            blockers: $blockers,
            assumed: $written && $mine === null ? [self::unread($target)] : [],
        ));
    }

    private static function unread(?Drive $target): Assumption
    {
        $drive = $target?->title() ?? 'The drive';

        return new Assumption(
            'drive.health',
            "{$drive} is sound: nobody has read its health.",
            'A5, U2',
            Door::reading('smartctl', 'Read `smartctl -j -a` of it.'),
        );
    }

    /**
     * @return list<Blocker>
     */
    private static function failing(DriveHealth $mine): array
    {
        return [
            Blocker::narrow(
                'drive-failing',
                "{$mine->model} is failing: {$mine->facts[0]} Rescue what is on it, and replace it.",
                'A5',
                [Act::Erase, Act::WriteSystem, Act::Repair, Act::ChangeOldSystem],
                Door::kind(JobKind::fittingDrive()),
                $mine->facts,
            ),
        ];
    }

    /** Whether what is on the target has to be rescued before anything else. */
    public function rescueFirst(): bool
    {
        return $this->target?->grade === HealthGrade::Replace;
    }
}
