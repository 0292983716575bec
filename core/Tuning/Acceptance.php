<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

use Cobblestone\Catalogue\SystemProfile;
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

/** The readings that prove the machine, row by row, as far as their expected values are known (rules T1, K3). */
final class Acceptance
{
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
            'proof.readings',
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
