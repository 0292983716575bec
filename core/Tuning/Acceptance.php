<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Catalogue\SystemReads;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Proof\DeviceRows;
use Cobblestone\Tuning\Proof\MachineRows;
use Cobblestone\Tuning\Proof\Promises;
use Cobblestone\Tuning\Proof\RowId;
use Cobblestone\Tuning\Proof\SystemRows;
use Cobblestone\Tuning\Proof\TunedRows;

/** The readings that prove the machine, row by row, as far as their expected values are known (rules T1, K3). */
final class Acceptance
{
    /** The stone whose evidence the rows are. */
    public const STEP = 'proof.readings';

    /** Row => the function that something may be known of (rule T4). */
    private const FUNCTIONS = [
        'sound' => 'sound',
        'camera' => 'camera',
        'wireless' => 'network',
        'sleep' => 'sleep',
        'touch' => 'input',
        'pads' => 'input',
    ];

    /** Row => what of a finished machine is read for it; whether the collector reads it. */
    private const READ = [
        'cores' => ['processor', true],
        'memory_usable' => ['memory', true],
        'drive_size' => ['drives', true],
        'without_driver' => ['devices', true],
        'updates_found' => ['updates', false],
    ];

    /** @param  list<string>|null  $before  facts that must hold first, where the path is not an install */
    public static function step(
        ProofSubject $of,
        ?array $before = null,
        ProofScope $scope = ProofScope::Whole,
    ): Step {
        $isFirmware = $scope === ProofScope::Firmware;
        $evidence = [
            ...AcceptanceRows::parts($of->machine, $of->graphics),
            ...($of->target === null ? [] : [AcceptanceRows::driveSize($of->target)]),
            ...($of->system === null || $isFirmware ? [] : [AcceptanceRows::system($of->system, $of->edition)]),
            ...($isFirmware ? self::asBefore() : AcceptanceRows::functions($of->machine, $of->unresolved)),
            ...($of->other === null ? [] : [AcceptanceRows::bothStart($of->other)]),
            ...($scope === ProofScope::Whole ? self::updates() : []),
        ];

        return self::readings($before, $of->system, $evidence);
    }

    /** The readings with a row for everything else that the path promises, and how each is read. */
    public static function widened(Step $readings, Promises $promises): Step
    {
        $isFirmware = array_filter(
            $readings->evidence,
            static fn (Evidence $one): bool => $one->id === 'starts',
        ) !== [];
        $rows = array_map(
            static fn (Evidence $one): Evidence => self::readOf($one, $promises->reads),
            $readings->evidence,
        );

        $all = [
            ...$rows,
            ...MachineRows::of($promises),
            ...DeviceRows::of($promises),
            ...SystemRows::of($promises, $isFirmware ? ProofScope::Firmware : ProofScope::Whole),
            ...TunedRows::of($promises),
        ];

        return $readings->with(['evidence' => array_map(
            static fn (Evidence $one): Evidence => self::known($one, $promises),
            $all,
        )]);
    }

    private static function known(Evidence $row, Promises $promises): Evidence
    {
        $known = $promises->known[self::FUNCTIONS[$row->id] ?? ''] ?? null;

        return $known === null ? $row : $row->knownTo(AcceptanceRows::FAILS, $known);
    }

    private static function readOf(Evidence $row, SystemReads $reads): Evidence
    {
        [$what, $collected] = match (true) {
            str_starts_with($row->id, RowId::DRIVE) => ['drives', true],
            // Which of several editions runs is told by its own page alone.
            $row->id === 'system' => ['system', isset($row->options['this'])],
            default => self::READ[$row->id] ?? [null, false],
        };

        return $what === null ? $row : $row->readBy($reads->way($what, $collected));
    }

    /**
     * @return list<Evidence>
     */
    private static function asBefore(): array
    {
        return [
            AcceptanceRows::choice(
                'starts',
                'The system starts as before',
                ['yes' => 'yes, twice', 'no' => 'no'],
                'yes',
            ),
        ];
    }

    /**
     * @return list<Evidence>
     */
    private static function updates(): array
    {
        return [
            AcceptanceRows::row(
                'updates_found',
                'Updates found by a second look',
                EvidenceKind::Count,
                new Expected('0'),
                'Install them, restart, look once more.',
            ),
        ];
    }

    /**
     * @param  list<string>|null  $before
     * @param  list<Evidence>  $evidence
     */
    private static function readings(?array $before, ?SystemProfile $system, array $evidence): Step
    {
        return new Step(
            self::STEP,
            Stage::Proof,
            'Readings',
            Presence::Hands,
            Estimate::minutes(3, 6, 20),
            [
                'Read each of these on the finished machine and write down what it says. A reading that cannot be '
                    .'made: "not read".',
            ],
            before: $before ?? [
                PathFact::DRIVERS_COMPLETE,
                PathFact::UPDATED,
                ...$system->activation ?? false ? [PathFact::ACTIVATED] : [],
            ],
            after: [PathFact::PROVEN],
            needs: ['hands'],
            done: DoneWords::of(
                'The finished machine was read and compared with what it should be',
                ...array_map(static fn (Evidence $one): string => $one->id, $evidence),
            ),
            because: [
                new Reason(
                    'What is expected was worked out for this machine; a reading that is missing stays open, it is '
                        .'not assumed.',
                    'T1',
                    $system?->dated() ?? 'readings of this machine',
                ),
            ],
            evidence: $evidence,
        );
    }
}
