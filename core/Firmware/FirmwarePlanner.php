<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;

/** Settings, start of the stick, and what is put back afterwards (rules F1–F3, F6, J4). */
final class FirmwarePlanner
{
    /**
     * @param  list<Gate>  $gates  what a change of settings has to wait for, empty where it is harmless
     * @param  bool  $inside  whether the setup is open already, because a new part has just been seen there
     */
    public static function plan(
        Machine $machine,
        SystemProfile $system,
        StickToStart $stick,
        Policy $policy,
        array $gates,
        bool $inside = false,
    ): Contribution {
        $image = $stick->image;
        $defaults = DefaultsFirst::of($machine, $policy);
        $from = $defaults->loaded($machine);
        $secureBoot = SecureBootChoice::decide($from, $system, $image, $stick->signer);
        $permanent = $policy->school('boot') === 'permanent-order';
        $needs = FirmwareNeeds::of($from, $system, $image, $secureBoot->needs, $permanent);
        $changes = ChangePlan::of($from, $needs);
        $opens = FirmwarePutBack::entries($changes, $system);
        $open = $changes->openConflicts($machine);
        $looked = ! $changes->isEmpty() || $changes->looks !== [] || $defaults->isMeant();
        $set = $changes->isEmpty() && ! $defaults->isMeant()
            ? null
            : SettingSteps::set($machine, $changes, $secureBoot, $gates, $opens);
        $steps = [
            ...($looked ? [SettingSteps::snapshot($machine, $changes, $inside)] : []),
            ...($set === null ? [] : [$defaults->isMeant() ? $defaults->before($set, $changes) : $set]),
        ];
        $binds = $system->autoEncryption && $policy->school('auto_encryption') !== 'off';
        $steps = [
            ...$steps,
            StickStartStep::step($machine, $image, $stick->connector, $permanent),
            ...FirmwarePutBack::steps($machine, $opens, $changes->before(), $binds),
        ];
        $decided = [...$defaults->decisions(), ...self::decisions($secureBoot, $machine, $permanent, $changes)];
        $asked = $inside ? MemoryNeed::questions($machine) : [];

        return self::contribution($steps, $decided, $open, $machine, $changes, [$looked, $set !== null])
            ->and(new Contribution(questions: $asked));
    }

    /**
     * @return list<Decision>
     */
    private static function decisions(
        SecureBootChoice $secureBoot,
        Machine $machine,
        bool $permanent,
        ChangePlan $changes,
    ): array {
        return [
            $secureBoot->decision,
            StickStartStep::decision($machine, $permanent),
            ...array_map(
                static fn (NeedConflict $conflict): Decision => $conflict->decision($machine),
                $changes->conflicts,
            ),
        ];
    }

    /**
     * @param  list<Step>  $steps
     * @param  list<Decision>  $decisions
     * @param  list<NeedConflict>  $open
     * @param  array{bool, bool}  $done  whether settings are recorded, and whether any is set
     */
    private static function contribution(
        array $steps,
        array $decisions,
        array $open,
        Machine $machine,
        ChangePlan $changes,
        array $done,
    ): Contribution {
        [$looked, $sets] = $done;

        return new Contribution(
            $steps,
            $decisions,
            array_map(static fn (NeedConflict $conflict): Question => $conflict->question(), $open),
            blockers: self::lockedOut($machine, $changes),
            assumed: self::unlocked($machine, $changes),
            initial: [
                ...($looked ? [] : [PathFact::FIRMWARE_RECORDED]),
                ...($sets ? [] : [PathFact::FIRMWARE_READY]),
            ],
        );
    }

    public static function isLockedOut(Machine $machine): bool
    {
        return $machine->fact('firmware.supervisor_password')->is('lost');
    }

    /** @return list<Blocker> */
    private static function lockedOut(Machine $machine, ChangePlan $changes): array
    {
        return ! $changes->isEmpty() && self::isLockedOut($machine)
            ? [
                Blocker::narrow(
                    'supervisor-password',
                    'The setup asks for a supervisor password that nobody has: no setting can be changed. The owner '
                        .'finds it, or the maker removes it against proof of ownership; there is no way around it '
                            .'here.',
                    'F2',
                    [Act::ChangeSettings],
                    Door::fact(
                        'firmware.supervisor_password',
                        'Once it is known or gone, say so.',
                        'known',
                    ),
                    ['firmware.supervisor_password = lost'],
                ),
            ] : [];
    }

    /** @return list<Assumption> */
    private static function unlocked(Machine $machine, ChangePlan $changes): array
    {
        return $changes->isEmpty() || ! $machine->fact('firmware.supervisor_password')->isUnknown() ? [] : [
            new Assumption(
                'firmware.supervisor_password',
                'No supervisor password keeps its settings from being changed.',
                'F2, U2',
                Door::fact('firmware.supervisor_password', 'Where the setup asks for one that nobody has, say so.'),
            ),
        ];
    }

    /**
     * Where the stick goes (rule J5): not into the only socket that charges while another is there, on a desktop not
     * into
     * a front socket, whose lead many boards give up on; then its own connector, then the faster one.
     */
    public static function portFor(Machine $machine, ?string $connector): ?Port
    {
        $ports = $machine->ports;
        $charging = count(array_filter($ports, static fn (Port $port): bool => $port->charges));
        $rank = static fn (Port $port): array => [
            $port->charges && $charging === 1 && count($ports) > 1 && $machine->kind->isPortable() ? 1 : 0,
            $machine->kind === Kind::Desktop && $port->isFront() ? 1 : 0,
            $port->connector === $connector ? 0 : 1, $port->charges ? 1 : 0, -$port->megabitsPerSecond, $port->id,
        ];
        usort($ports, static fn (Port $a, Port $b): int => $rank($a) <=> $rank($b));

        return $ports[0] ?? null;
    }
}
