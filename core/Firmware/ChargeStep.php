<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The stone that brings a battery to the charge the work needs (rule F8). */
final class ChargeStep
{
    private const UNPLUG = 'Then unplug the charger: the stick needs its socket. After the copy, pull the stick and '
        .'charge again before long downloads.';

    private const SWOLLEN = 'A swollen or hot battery: stop, do not charge, keep it away from people, follow the '
        .'local disposal rules.';

    public static function of(int $percent, bool $enough, Decision $decision, ?Duration $charging): Step
    {
        $read = $enough
            ? "Read the charge once more: at least {$percent} %."
            : "Read the charge. Below {$percent} %: leave the charger in until it is there.";

        return new Step(
            'firmware.charge',
            Stage::Firmware,
            $enough ? 'Onto the battery' : "Charge to {$percent} %",
            $charging === null ? Presence::Hands : Presence::WalkAway,
            match (true) {
                $enough => Estimate::minutes(0.2, 0.5, 2),
                $charging === null => Estimate::minutes(0.5, 1, 60),
                default => Estimate::around($charging),
            },
            [$read, self::UNPLUG],
            after: [PathFact::POWER_SAFE],
            needs: ['hands', 'power'],
            because: [$decision->asReason()],
            cautions: [self::SWOLLEN],
            evidence: [
                new Evidence(
                    'charge',
                    'Charge read',
                    EvidenceKind::Percent,
                    hint: "at least {$percent}",
                    least: $percent,
                ),
            ],
        );
    }
}
