<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\Hub;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Quantity\Power;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** Whether power lasts while the stick takes the socket the charger needs, with the figures shown (rules F8, J5). */
final class PortPower
{
    /** Charge to start from while the draw is unknown, percent. */
    public const UNKNOWN_DRAW_PERCENT = 40;

    /** @param  Duration  $stickIn how long the stick stays in the machine */
    public static function plan(Machine $machine, Duration $stickIn): Contribution
    {
        if (! $machine->kind->isPortable()) {
            return new Contribution(initial: [PathFact::POWER_SAFE]);
        }
        $charging = array_values(array_filter($machine->ports, static fn ($port): bool => $port->charges));
        if (count($machine->ports) > 1 || $charging === []) {
            $where = $charging === [] ? 'its own charging socket' : "{$charging[0]->connector}, {$charging[0]->where}";

            return new Contribution(
                decisions: [new Decision('power.source', 'Power while the stick is in', 'charger', ["The charger has {$where} to itself; the stick goes into another socket."], ['battery' => ['There is no need to.']], [count($machine->ports).' ports'], 'J5')],
                gather: [new GatherItem('charger', "plugged into {$where} for the whole job")],
                initial: [PathFact::POWER_SAFE],
            );
        }

        return self::singlePort($machine, $stickIn);
    }

    /** Required: draw × time × 2, and a fifth of what a full charge holds today. */
    public static function required(Power $draw, Duration $stickIn, Energy $present): Energy
    {
        return $draw->over($stickIn)->times(2)->plus($present->times(0.2));
    }

    /**
     * The lowest whole percent of charge that gives the required energy; above 100 it cannot be done on the battery.
     */
    public static function percentFor(Energy $required, Energy $present, float $usable): int
    {
        return (int) ceil(100 * $required->milliwattHours / ($present->milliwattHours * $usable));
    }

    /** What a hub leaves for charging: charger − hub − machine; negative drains the battery. */
    public static function hubNet(Power $charger, Power $hub, Power $machine): Power
    {
        return $charger->minus($hub)->minus($machine);
    }

    private static function singlePort(Machine $machine, Duration $stickIn): Contribution
    {
        $draw = $machine->battery?->draw;
        if ($machine->fact('hub.at_hand')->is('yes') && ($byHub = self::byHub($machine, $draw)) !== null) {
            return $byHub;
        }
        if ($machine->battery === null || $draw === null) {
            return self::batteryFrom($machine, self::UNKNOWN_DRAW_PERCENT, ['The stick takes the only socket, and '
                .'this machine\'s draw is not known.', 'From '.self::UNKNOWN_DRAW_PERCENT.' % charge on it is safe '
                .'to begin; a hub with a power input is '
                .'better.'], ['hub with a power input' => ['Better where one is at hand: then the charge does not '
                .'matter.']]);
        }
        $present = $machine->battery->present();
        $required = self::required($draw, $stickIn, $present);
        $percent = self::percentFor($required, $present, $machine->battery->usable);
        $figures = "{$draw->label()} × {$stickIn->label()} × 2 + 20 % of {$present->label()} = {$required->label()}; a full charge gives {$present->times($machine->battery->usable)->label()}.";
        if ($percent <= 100) {
            return self::batteryFrom($machine, $percent, ['The stick takes the only '
                .'socket.', $figures], ['hub with a power input' => ['Not needed '
                ."from {$percent} % on; use it if the charge is lower."]]);
        }
        $hub = $machine->model->hub ?? Hub::usual();
        $net = self::hubNet(Power::watts($hub->chargerW), Power::watts($hub->hubW), $draw);

        return new Contribution(
            decisions: [new Decision('power.source', 'Power while the stick is in', 'hub with a power '
                .'input', [$figures, 'Even a full battery does not last. '
                ."Charger {$hub->chargerW} W − hub {$hub->hubW} W − "
                ."machine {$draw->label()} = {$net->label()} net."], ['battery' => ['It would '
                ."need {$percent} %."]], ['one port', $machine->title], 'F8')],
            gather: [new GatherItem('hub with a power input', 'the stick and the charger share the only '
                .'socket'), new GatherItem('charger', "{$hub->chargerW} W or more, into the hub")],
            initial: [PathFact::POWER_SAFE],
            blockers: $net->milliwatts < 0 ? [Blocker::narrow('hub-drains', "A {$hub->chargerW} W charger through "
                ."the hub leaves {$net->label()}: the battery drains. Use a stronger "
                .'charger.', 'F8', [Act::StartMedium, Act::Erase, Act::WriteSystem], ["net {$net->label()}"])] : [],
        );
    }

    /** A hub lies ready and leaves enough: then the charge does not matter. */
    private static function byHub(Machine $machine, ?Power $draw): ?Contribution
    {
        $hub = $machine->model->hub ?? Hub::usual();
        $watts = $machine->fact('charger.watts')->value;
        $charger = is_numeric($watts) && $watts > 0 ? (float) $watts : (float) $hub->chargerW;
        $net = $draw === null ? null : self::hubNet(Power::watts($charger), Power::watts($hub->hubW), $draw);
        if ($net !== null && $net->milliwatts < 0) {
            return null;
        }
        $figures = $net === null ? 'This machine\'s draw is not '
            .'known.' : "Charger {$charger} W − hub {$hub->hubW} W − machine {$draw->label()} = {$net->label()} net.";

        return new Contribution(
            decisions: [new Decision('power.source', 'Power while the stick is in', 'hub with a power '
                .'input', ['It lies ready: the stick and the charger share the only '
                .'socket.', $figures], ['battery' => ['There is no need to.']], [$machine->fact('hub.at_hand')->origin], 'F8, J5')],
            gather: [new GatherItem('hub with a power input', 'the stick and the charger share the only '
                .'socket'), new GatherItem('charger', "{$charger} W or more, into the hub")],
            initial: [PathFact::POWER_SAFE],
        );
    }

    /**
     * @param  list<string>  $reasons
     * @param  array<string, list<string>>  $refused
     */
    private static function batteryFrom(Machine $machine, int $percent, array $reasons, array $refused): Contribution
    {
        $read = $machine->fact('battery.percent')->value;
        $read = is_numeric($read) && $read >= 0 && $read <= 100 ? (int) $read : null;
        $chosen = match (true) {
            $read === null => "battery, from {$percent} % charge",
            $read >= $percent => "go: {$read} % read, {$percent} % needed",
            default => "charge to {$percent} % first: {$read} % read",
        };
        $decision = new Decision('power.source', 'Power while the stick is in', $chosen, $reasons, $refused, ['one port', $machine->title], 'F8');

        return new Contribution(
            steps: [new Step('firmware.charge', Stage::Firmware, $read !== null && $read >= $percent ? 'Onto the '
                .'battery' : "Charge to {$percent} %", Presence::Hands, $read !== null && $read >= $percent ? Estimate::minutes(0.2, 0.5, 2) : Estimate::minutes(0.5, 1, 60),
                [$read !== null && $read >= $percent ? 'Read the charge once more: at '
                    ."least {$percent} %." : 'Read the charge. '
                    ."Below {$percent} %: leave the charger in until it is "
                    .'there.', 'Then unplug the charger: the stick needs its socket. After the copy, pull the stick '
                    .'and charge again before long downloads.'],
                after: [PathFact::POWER_SAFE], needs: ['hands', 'power'], because: [$decision->asReason()],
                cautions: ['A swollen or hot battery: stop, do not charge, keep it away from people, follow the '
                    .'local disposal rules.'],
                evidence: [new Evidence('charge', 'Charge read', EvidenceKind::Percent, hint: "at least {$percent}", least: $percent)],
            )],
            decisions: [$decision],
            gather: [new GatherItem('charger', "to reach {$percent} % before the stick goes in, and again after it "
                .'is out'), new GatherItem('hub with a power '
                .'input', 'if the charge is too low; a wired keyboard can share it')],
        );
    }
}
