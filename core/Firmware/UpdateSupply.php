<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Quantity\Power;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/**
 * Power that lasts while firmware is written: charger and battery, or an uninterruptible supply that is large enough
 * (rule F5).
 */
final class UpdateSupply
{
    /** Charge that a portable must have besides its charger, percent (default). */
    public const LEAST_PERCENT = 50;

    /** How much more an uninterruptible supply must hold than the update takes (default). */
    private const SAFETY = 2;

    public static function plan(Machine $machine, Duration $writing): Contribution
    {
        if ($machine->kind->isPortable()) {
            return self::onBattery();
        }
        $load = $machine->fact('power.load_w')->value;
        $usable = $machine->fact('ups.usable_wh')->value;
        if (! is_numeric($load) || ! is_numeric($usable)) {
            return self::atTheWall();
        }
        $need = self::required(Power::watts((float) $load), $writing);
        $has = Energy::wattHours((float) $usable);
        $words =
            "{$load} W × {$writing->label()} × ".
            self::SAFETY.
            " = {$need->label()}; the supply gives {$has->label()}.";
        $step = self::uninterruptible($words);

        return new Contribution(
            [$step],
            [new Decision('power.update', 'Power for the update', 'uninterruptible supply', [$words], [], [], 'F5')],
            gather: [new GatherItem('uninterruptible supply', $words)],
            blockers: $need->milliwattHours > $has->milliwattHours
                ? [
                    Blocker::narrow(
                        'supply-too-small',
                        "The uninterruptible supply is too small: {$words}",
                        'F5',
                        [Act::WriteFirmware],
                        Door::fact('ups.usable_wh', 'Take a larger supply, and say what it holds.'),
                        ["power.load_w = {$load}", "ups.usable_wh = {$usable}"],
                    )->waivableBy('lead'),
                ]
                : [],
        );
    }

    private static function onBattery(): Contribution
    {
        $least = self::LEAST_PERCENT;
        $step = self::step(
            "Charger in, {$least} % or more",
            ["Plug the charger in and read the charge: at least {$least} %. Both, not one of them."],
            [
                new Evidence(
                    'charge',
                    'Charge read',
                    EvidenceKind::Percent,
                    hint: "at least {$least}",
                    least: $least,
                ),
            ],
            new Reason(
                "Charger and at least {$least} % charge: if one fails, the other carries the write.",
                'F5',
            ),
        );

        return new Contribution(
            [$step],
            [
                new Decision(
                    'power.update',
                    'Power for the update',
                    "charger and at least {$least} %",
                    ['If one fails, the other carries the write.'],
                    [],
                    [],
                    'F5',
                ),
            ],
            gather: [new GatherItem('charger', 'in for the whole update')],
        );
    }

    private static function atTheWall(): Contribution
    {
        $step = self::step(
            'Safe supply',
            [
                'An uninterruptible supply is best. Without one: a wall socket of its own, no storm, nobody near the '
                    .'switch.',
            ],
            [
                new Evidence('supply', 'Supply', 'choice', [
                    'ups' => 'uninterruptible supply',
                    'wall' => 'wall socket, accepted by the lead',
                ]),
            ],
            new Reason('The load and the supply\'s capacity are not known, so nothing can be computed.', 'F5'),
        );

        return new Contribution(
            [$step],
            [
                new Decision(
                    'power.update',
                    'Power for the update',
                    'uninterruptible supply if there is one',
                    ['Load and capacity are not known.'],
                    [],
                    [],
                    'F5',
                ),
            ],
            gather: [
                new GatherItem('uninterruptible supply', 'a power cut while writing can leave the board dead'),
            ],
        );
    }

    private static function uninterruptible(string $words): Step
    {
        return self::step(
            'On the uninterruptible supply',
            ["Plug the machine and its screen into the supply. {$words}"],
            [],
            new Reason($words, 'F5'),
        );
    }

    /** Usable energy wanted: load × time × 2. */
    public static function required(Power $load, Duration $writing): Energy
    {
        return $load->over($writing)->times(self::SAFETY);
    }

    /**
     * @param  list<string>  $lines
     * @param  list<Evidence>  $evidence
     */
    private static function step(string $title, array $lines, array $evidence, Reason $because): Step
    {
        return new Step(
            'firmware.supply',
            Stage::FirmwareUpdate,
            $title,
            Presence::Hands,
            Estimate::minutes(0.5, 1, 30),
            $lines,
            before: [PathFact::GATHERED],
            after: [PathFact::POWER_SAFE],
            needs: ['hands', 'power'],
            because: [$because],
            evidence: $evidence,
        );
    }
}
