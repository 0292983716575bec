<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

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
        $secureBoot = SecureBootChoice::decide($machine, $system, $image, $stick->signer);
        $permanent = $policy->school('boot') === 'permanent-order';
        $changes = ChangePlan::of(
            $machine,
            FirmwareNeeds::of($machine, $system, $image, $secureBoot->needs, $permanent),
        );
        $opens = FirmwarePutBack::entries($changes, $system);
        $open = $changes->openConflicts($machine);
        $looked = ! $changes->isEmpty() || $changes->looks !== [];
        $steps = [
            ...($looked ? [SettingSteps::snapshot($machine, $changes, $inside)] : []),
            ...($changes->isEmpty() ? [] : [SettingSteps::set($machine, $changes, $secureBoot, $gates, $opens)]),
        ];
        $steps[] = self::start($machine, $image, $stick->connector, $permanent);
        $steps = [
            ...$steps,
            ...FirmwarePutBack::steps(
                $machine,
                $opens,
                $changes->before(),
                $system->autoEncryption && $policy->school('auto_encryption') !== 'off',
            ),
        ];
        $decisions = self::decisions($secureBoot, $machine, $permanent, $changes);

        $asked = $inside ? MemoryNeed::questions($machine) : [];

        return self::contribution($steps, $decisions, $open, $machine, $changes, $looked)
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
            self::bootDecision($machine, $permanent),
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
     */
    private static function contribution(
        array $steps,
        array $decisions,
        array $open,
        Machine $machine,
        ChangePlan $changes,
        bool $looked,
    ): Contribution {
        return new Contribution(
            $steps,
            $decisions,
            array_map(static fn (NeedConflict $conflict): Question => $conflict->question(), $open),
            blockers: self::lockedOut($machine, $changes),
            initial: [
                ...($looked ? [] : [PathFact::FIRMWARE_RECORDED]),
                ...($changes->isEmpty() ? [PathFact::FIRMWARE_READY] : []),
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
                    ['firmware.supervisor_password = lost'],
                ),
            ] : [];
    }

    private static function start(Machine $machine, Image $image, ?string $stickConnector, bool $permanent): Step
    {
        $way = WayIn::menu($machine);
        $port = self::portFor($machine, $stickConnector);
        $plug = $port === null ? 'Plug the stick in.' : "Plug the stick into {$port->connector}, {$port->where}.";
        $lines = $permanent
            ? ['Power on: the stick is first in the order.']
            : $way->instructions('the list of devices');
        $uefi = $image->kind === 'optical-hybrid'
            || $image->hasLegacyLoader() ? ['Two lines for one stick: take the one marked UEFI.'] : [];

        return new Step(
            'boot.start',
            Stage::Boot,
            $permanent ? 'Start the stick' : 'Start from the stick',
            Presence::Hands,
            Estimate::minutes(1, 2, 8),
            [$plug, ...$lines, ...($permanent ? [] : ['Choose the stick.']), ...$uefi],
            before: [
                PathFact::STICK_PROVEN, PathFact::FIRMWARE_RECORDED, PathFact::FIRMWARE_READY, PathFact::SHUT_DOWN,
                PathFact::POWER_SAFE, PathFact::GATHERED,
            ],
            after: [PathFact::MEDIUM_STARTED],
            needs: ['hands', 'slot', 'stick'],
            acts: [Act::StartMedium],
            because: self::because($permanent, $way),
            cautions: $way->forThisModel
                ? []
                : ['Nobody has confirmed a key for this model yet: several tries are normal.'],
            waiting: self::waiting(),
            boots: [
                BootEvent::change(['stick' => 'in']),
                BootEvent::start(Wants::Installer, $permanent ? BootEvent::BY_ORDER : BootEvent::BY_MENU),
            ],
            opensWith: $permanent ? null : Wants::Installer,
        );
    }

    /**
     * @return list<Reason>
     */
    private static function because(bool $permanent, WayIn $way): array
    {
        return [
            new Reason(
                $permanent
                    ? 'The bench policy starts sticks by permanent order.'
                    : 'The one-time menu leaves nothing to put back.',
                'F1',
                $way->source,
            ),
        ];
    }

    private static function waiting(): Waiting
    {
        return new \Cobblestone\Runbook\Waiting(
            ['a black screen for some seconds', 'the maker\'s sign, then the installer'],
            'Not in the list? In this order: another port; written for the other mode; USB start off; the '
                .'firmware\'s fast start; another stick. Asked for a recovery key: power off, nothing is lost.',
            1,
        );
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

    private static function bootDecision(Machine $machine, bool $permanent): Decision
    {
        $way = WayIn::menu($machine);

        return new Decision(
            'boot.way',
            'How the stick is started',
            $permanent ? 'permanent order, stick first' : 'one-time menu',
            [$permanent ? 'The bench policy is "permanent order".' : 'It leaves nothing to put back.'],
            [
                $permanent
                    ? 'one-time menu'
                    : 'permanent order' => [
                        $permanent
                            ? 'The policy prefers not to catch a key window.'
                            : 'It would have to be put back, and could start a forgotten stick later.',
                    ],
            ],
            [$way->source],
            'F1');
    }
}
