<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Job\Policy;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Fact;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** Settings, start of the stick, and what is put back afterwards (rules F1–F3, F6, J4). */
final class FirmwarePlanner
{
    /**
     * @param  list<Gate>  $gates  what a change of settings has to wait for, empty where it is harmless
     */
    public static function plan(Machine $machine, SystemProfile $system, Image $image, ?string $stickConnector, Policy $policy, array $gates): Contribution
    {
        $secureBoot = SecureBootChoice::decide($machine, $system, $image);
        $permanent = $policy->school('boot') === 'permanent-order';
        $needs = [...self::systemNeeds($system), ...self::driveNeeds($machine, $system), ...self::mediumNeeds($image), ...$secureBoot->needs, ...HandheldNeeds::of($machine, $system), ...MemoryNeed::of($machine)];
        if ($permanent) {
            $needs[] = new Need('boot_order', 'stick first', 'The bench policy starts sticks by permanent order.', 'F1', stays: false, weakens: true);
        }
        $changes = ChangePlan::of($machine, $needs);
        $opens = self::putBacks($changes, $system);
        $waits = array_map(static fn (NeedConflict $conflict): Gate => new Gate("answer-choice.{$conflict->setting}", Fact::answered(NeedConflict::fact($conflict->setting)), "Decide first: {$conflict->title} is needed in two ways", ''), array_values(array_filter($changes->conflicts, static fn (NeedConflict $conflict): bool => $conflict->chosen($machine) === null)));
        $steps = $changes->isEmpty() ? [] : self::settingSteps($machine, $changes, $secureBoot, [...$gates, ...$waits], $opens);
        $steps[] = self::start($machine, $image, $stickConnector, $permanent);

        $questions = array_map(static fn (NeedConflict $conflict): Question => $conflict->question(), array_values(array_filter($changes->conflicts, static fn (NeedConflict $conflict): bool => $conflict->chosen($machine) === null)));

        return new Contribution([...$steps, ...self::putBackSteps($machine, $opens, $changes->before(), ($system->entry['auto_encryption'] ?? false) && $policy->school('auto_encryption') !== 'off')], [$secureBoot->decision, self::bootDecision($machine, $permanent), ...array_map(static fn (NeedConflict $conflict): Decision => $conflict->decision($machine), $changes->conflicts)], $questions, blockers: self::lockedOut($machine, $changes), initial: $changes->isEmpty() ? [Fact::FIRMWARE_RECORDED, Fact::FIRMWARE_READY] : []);
    }

    /** @return list<Need> */
    private static function systemNeeds(SystemProfile $system): array
    {
        $needs = [];
        if ($system->bootMode() === 'uefi') {
            $needs[] = new Need('boot_mode', 'uefi', "{$system->name} starts only by UEFI.", 'F2');
        }
        if ($system->needsSecurityChip()) {
            $needs[] = new Need('security_chip', 'on', "{$system->name} needs the security chip.", 'F2');
        }

        return $needs;
    }

    /**
     * An installer without a driver for the controller's mode sees no drive; on a drive that is wiped the mode may change (rule I7).
     *
     * @return list<Need>
     */
    private static function driveNeeds(Machine $machine, SystemProfile $system): array
    {
        $modes = $system->entry['controller_modes'] ?? [];
        $has = array_column(array_column($machine->model['firmware']['settings'] ?? [], null, 'id'), 'values', 'id')['controller_mode'] ?? [];
        $both = array_values(array_intersect($modes, $has));

        return $both === [] ? [] : [new Need('controller_mode', $both[0], "{$system->name} has drive drivers for ".implode(' and ', $modes).' only; with another mode its installer sees no drive.', 'I7', accepts: array_slice($both, 1))];
    }

    /** @return list<Need> */
    private static function mediumNeeds(Image $image): array
    {
        return $image->startsByUefi() ? [] : [new Need('boot_mode', 'legacy', "{$image->name} has no loader for UEFI: it starts the old way only.", 'F2', stays: false, weakens: true, accepts: ['both'], whose: 'medium')];
    }

    /**
     * What has to be put back before the new system goes online.
     *
     * @param  list<Step>  $steps
     * @return list<string>
     */
    public static function beforeOnline(array $steps): array
    {
        $facts = [];
        foreach ($steps as $step) {
            if ($step->stage === Stage::PutBack && in_array(Fact::SYSTEM_INSTALLED, $step->before, true)) {
                array_push($facts, ...$step->after);
            }
        }

        return $facts;
    }

    private static function isLockedOut(Machine $machine): bool
    {
        return $machine->fact('firmware.supervisor_password')->is('lost');
    }

    /** @return list<string> */
    private static function lockedOut(Machine $machine, ChangePlan $changes): array
    {
        return ! $changes->isEmpty() && self::isLockedOut($machine)
            ? ['The setup asks for a supervisor password that nobody has: no setting can be changed. The owner finds it, or the maker removes it against proof of ownership; there is no way around it here.'] : [];
    }

    /**
     * @param  list<Gate>  $gates
     * @param  list<PutBack>  $opens
     * @return list<Step>
     */
    private static function settingSteps(Machine $machine, ChangePlan $changes, SecureBootChoice $secureBoot, array $gates, array $opens): array
    {
        $way = WayIn::setup($machine);
        $count = count($changes->changes);
        $because = array_map(static fn (array $change): Reason => new Reason($change['need']->because, $change['need']->rule, "was {$change['was']->spoken()}: {$change['was']->origin}"), $changes->changes);

        return [
            new Step('firmware.snapshot', Stage::Firmware, 'Record settings', Presence::Hands, Estimate::minutes(2, 4, 10),
                [...$way->instructions('the setup'), 'Photograph or note every page before anything is changed.'],
                before: [Fact::SHUT_DOWN], after: [Fact::FIRMWARE_RECORDED], needs: ['hands', 'slot'],
                because: [new Reason('What was set is the only way back, and shows what the plan assumed wrongly.', 'F3', $way->source)],
                boots: [BootEvent::start(Wants::Setup, BootEvent::BY_KEY)],
            ),
            new Step('firmware.set', Stage::Firmware, $count === 1 ? 'Set '.lcfirst($changes->changes[0]['setting']->title) : "Set {$count} settings", Presence::Hands, Estimate::minutes(1 + $count * 0.5, 2 + $count, 6 + $count * 3),
                ['Change them in this order, in one visit, then save and leave.'],
                before: [Fact::FIRMWARE_RECORDED], after: [Fact::FIRMWARE_READY], needs: ['hands', 'slot'], gates: $gates,
                because: [...$because, $secureBoot->decision->asReason()],
                waiting: MemoryNeed::waiting($changes),
                cautions: [...self::pictureCaution($machine, $changes), 'If the firmware offers to clear the security chip, refuse while any drive still depends on it.'],
                opens: $opens, rows: $changes->rows(), boots: self::isLockedOut($machine) ? [] : [BootEvent::change($changes->becomes())],
            ),
        ];
    }

    /** @return list<string> older devices off wants a card whose picture comes up by UEFI (rule F2) */
    private static function pictureCaution(Machine $machine, ChangePlan $changes): array
    {
        $off = ($changes->becomes()['firmware.older_devices'] ?? null) === 'off' || ($changes->becomes()['firmware.boot_mode'] ?? null) === 'uefi';

        return match (true) {
            ! $off, $machine->kind->isPortable() => [],
            $machine->fact('graphics.uefi_picture')->is('no') => ['This card brings no picture up by UEFI: with older devices off the screen stays black. Use the board\'s own socket first.'],
            $machine->fact('graphics.uefi_picture')->isUnknown() => ['An old graphics card may bring no picture up by UEFI. Black afterwards: the board\'s own socket, or settings back by its jumper.'],
            default => [],
        };
    }

    private static function start(Machine $machine, Image $image, ?string $stickConnector, bool $permanent): Step
    {
        $way = WayIn::menu($machine);
        $port = self::portFor($machine, $stickConnector);
        $plug = $port === null ? 'Plug the stick in.' : "Plug the stick into {$port->connector}, {$port->where}.";
        $lines = $permanent ? ['Power on: the stick is first in the order.'] : $way->instructions('the list of devices');
        $uefi = $image->kind() === 'optical-hybrid' || $image->hasLegacyLoader() ? ['Two lines for one stick: take the one marked UEFI.'] : [];

        return new Step('boot.start', Stage::Boot, $permanent ? 'Start the stick' : 'Start from the stick', Presence::Hands, Estimate::minutes(1, 2, 8),
            [$plug, ...$lines, ...($permanent ? [] : ['Choose the stick.']), ...$uefi],
            before: [Fact::STICK_PROVEN, Fact::FIRMWARE_READY, Fact::SHUT_DOWN, Fact::POWER_SAFE, Fact::GATHERED], after: [Fact::MEDIUM_STARTED], needs: ['hands', 'slot', 'stick'],
            because: [new Reason($permanent ? 'The bench policy starts sticks by permanent order.' : 'The one-time menu leaves nothing to put back.', 'F1', $way->source)],
            cautions: $way->forThisModel ? [] : ['Nobody has confirmed a key for this model yet: several tries are normal.'],
            waiting: new \Cobblestone\Runbook\Waiting(['a black screen for some seconds', 'the maker\'s sign, then the installer'], 'Not in the list? In this order: another port; written for the other mode; USB start off; the firmware\'s fast start; another stick. Asked for a recovery key: power off, nothing is lost.', 1),
            boots: [BootEvent::change(['stick' => 'in']), BootEvent::start(Wants::Installer, $permanent ? BootEvent::BY_ORDER : BootEvent::BY_MENU)],
        );
    }

    /** Where the stick goes: its own connector, and not the charger's socket if another is free (rule J5). */
    public static function portFor(Machine $machine, ?string $connector): ?Port
    {
        $ports = $machine->ports;
        usort($ports, static fn (Port $a, Port $b): int => [$a->connector === $connector ? 0 : 1, $a->charges ? 1 : 0, -$a->megabitsPerSecond, $a->id] <=> [$b->connector === $connector ? 0 : 1, $b->charges ? 1 : 0, -$b->megabitsPerSecond, $b->id]);

        return $ports[0] ?? null;
    }

    private static function bootDecision(Machine $machine, bool $permanent): Decision
    {
        $way = WayIn::menu($machine);

        return new Decision('boot.way', 'How the stick is started', $permanent ? 'permanent order, stick first' : 'one-time menu', [$permanent ? 'The bench policy is "permanent order".' : 'It leaves nothing to put back.'],
            [$permanent ? 'one-time menu' : 'permanent order' => [$permanent ? 'The policy prefers not to catch a key window.' : 'It would have to be put back, and could start a forgotten stick later.']], [$way->source], 'F1');
    }

    /** @return list<PutBack> */
    private static function putBacks(ChangePlan $changes, SystemProfile $system): array
    {
        $entries = [];
        foreach ($changes->changes as $change) {
            $need = $change['need'];
            if ($need->weakens) {
                $entries[] = new PutBack(str_replace('_', '-', $need->setting), "{$change['setting']->title}: {$need->value}", $need->stays ? "{$need->because} It stays: {$system->name} does not start with it on." : $need->because, $need->stays ? 'put-back.sign' : 'put-back.'.str_replace('_', '-', $need->setting), $need->stays);
            }
        }

        return $entries;
    }

    /**
     * @param  list<PutBack>  $entries
     * @param  array<string, array<string, string>>  $back  entry => what was set before
     * @param  bool  $bindsItself  whether the new system binds its drive to these settings once it is online
     * @return list<Step>
     */
    private static function putBackSteps(Machine $machine, array $entries, array $back, bool $bindsItself): array
    {
        $steps = [];
        foreach (array_filter($entries, static fn (PutBack $entry): bool => ! $entry->stays) as $entry) {
            $early = $bindsItself && Trigger::ofSetting(str_replace('-', '_', $entry->id)) !== null;
            $steps[] = new Step($entry->closedBy, Stage::PutBack, 'Put back: '.lcfirst(explode(':', $entry->what)[0]), Presence::Hands, Estimate::minutes(1, 2, 6),
                [...WayIn::setup($machine)->instructions('the setup'), "Set back what was changed ({$entry->what}) as recorded before. Save, and let the system start once."],
                before: $early ? [Fact::SYSTEM_INSTALLED, Fact::STICK_OUT] : [Fact::PROVEN], after: [Fact::putBack($entry->id)], needs: ['hands'],
                because: [new Reason("It was changed only for the job: {$entry->why}", 'J4, F6'), ...($early ? [new Reason('The new system binds its drive to this setting once it is online; changed later, it would ask for the recovery key.', 'A7')] : [])],
                boots: [BootEvent::start(Wants::Setup, BootEvent::BY_KEY), BootEvent::change($back[$entry->id] ?? []), BootEvent::start(Wants::System)],
            );
        }

        return $steps;
    }
}
