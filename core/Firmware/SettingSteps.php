<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;
use Cobblestone\Text\Lowered;

/** The stones that record settings and change them. */
final class SettingSteps
{
    /** @param  bool  $inside  whether the setup is open already: then it is the same visit, not started once more */
    public static function snapshot(Machine $machine, ChangePlan $changes, bool $inside): Step
    {
        $way = WayIn::setup($machine);
        $besides = [
            ...array_map(static fn (array $change): Setting => $change['setting'], $changes->changes),
            ...$changes->looks,
        ];

        return new Step(
            'firmware.snapshot',
            Stage::Firmware,
            'Record settings',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            [
                ...($inside ? ['Stay in the setup: this is the same visit.'] : $way->instructions('the setup')),
                $changes->isEmpty()
                    ? 'Read every page and write down each setting: on what is known, none has to be changed.'
                    : 'Read every page and write down each setting before anything is changed.',
            ],
            before: [$inside ? PathFact::PART_SEEN : PathFact::SHUT_DOWN],
            after: [PathFact::FIRMWARE_RECORDED],
            needs: ['hands', 'slot'],
            because: [
                new Reason(
                    'What was set is the only way back, and shows what the plan assumed wrongly.',
                    'F3',
                    $way->source,
                ),
            ],
            evidence: SettingsEvidence::recorded($machine, $besides),
            boots: $inside ? [] : [BootEvent::start(Wants::Setup, BootEvent::BY_KEY)],
            opensWith: $inside ? null : Wants::Setup,
        );
    }

    /**
     * @param  list<Gate>  $gates
     * @param  list<PutBack>  $opens
     */
    public static function set(
        Machine $machine,
        ChangePlan $changes,
        SecureBootChoice $secureBoot,
        array $gates,
        array $opens,
    ): Step {
        $count = count($changes->changes);
        $chip = array_filter(
            $changes->changes,
            static fn (array $change): bool => $change['setting']->id === 'security_chip',
        ) !== [];

        return new Step(
            'firmware.set',
            Stage::Firmware,
            $count === 1 ? 'Set '.Lowered::of($changes->changes[0]['setting']->title) : "Set {$count} settings",
            Presence::Hands,
            Estimate::minutes(1 + $count * 0.5, 2 + $count, 6 + $count * 3),
            [
                $count === 1
                    ? 'Change it, then save and leave.'
                    : 'Change them in this order, in one visit, then save and leave.',
            ],
            before: [PathFact::FIRMWARE_RECORDED], after: [PathFact::FIRMWARE_READY], needs: ['hands', 'slot'],
            done: DoneWords::of(
                $count === 1
                    ? 'A setting of the firmware was changed'
                    : "{$count} settings of the firmware were changed",
            ),
            acts: [Act::ChangeSettings],
            gates: $gates,
            because: [...self::reasons($changes), $secureBoot->decision->asReason()],
            waiting: MemoryNeed::waiting($changes),
            cautions: self::cautions($machine, $changes, $chip),
            opens: $opens,
            rows: $changes->rows(),
            boots: FirmwarePlanner::isLockedOut($machine) ? [] : [BootEvent::change($changes->becomes())],
        );
    }

    /**
     * @return list<string>
     */
    private static function cautions(Machine $machine, ChangePlan $changes, bool $chip): array
    {
        return [
            ...self::pictureCaution($machine, $changes),
            ...(
                $chip
                    ? [
                        'If the firmware offers to clear the security chip, refuse while any drive still depends '
                            .'on it.',
                    ]
                    : []
            ),
        ];
    }

    /**
     * @return list<Reason>
     */
    private static function reasons(ChangePlan $changes): array
    {
        return array_map(
            static fn (array $change): Reason => new Reason(
                $change['need']->because,
                $change['need']->rule,
                "was {$change['was']->spoken()}: {$change['was']->origin}",
            ),
            $changes->changes,
        );
    }

    /** @return list<string> older devices off wants a card whose picture comes up by UEFI (rule F2) */
    private static function pictureCaution(Machine $machine, ChangePlan $changes): array
    {
        $off = ($changes->becomes()['firmware.older_devices'] ?? null) === 'off'
            || ($changes->becomes()['firmware.boot_mode'] ?? null) === 'uefi';

        return match (true) {
            ! $off, $machine->kind->isPortable() => [],
            $machine->fact('graphics.uefi_picture')->is('no') => [
                'This card brings no picture up by UEFI: with older devices off the screen stays black. Use the '
                    .'board\'s own socket first.',
            ],
            $machine->fact('graphics.uefi_picture')->isUnknown() => [
                'An old graphics card may bring no picture up by UEFI. Black afterwards: the board\'s own socket, or '
                    .'settings back by its jumper.',
            ],
            default => [],
        };
    }
}
