<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\Hub;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Power;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;

/** Whether power lasts while the stick takes the socket the charger needs, with the figures shown (rules F8, J5). */
final class PortPower
{
    /** Charge to start from while the draw is unknown, percent. */
    public const UNKNOWN_DRAW_PERCENT = 40;

    private const HUB = 'hub with a power input';

    /** @param  Duration  $stickIn how long the stick stays in the machine */
    public static function plan(Machine $machine, Duration $stickIn): Contribution
    {
        if (! $machine->kind->isPortable()) {
            return new Contribution(initial: [PathFact::POWER_SAFE]);
        }
        $charging = array_values(array_filter($machine->ports, static fn ($port): bool => $port->charges));
        if ($machine->ports === []) {
            return new Contribution(initial: [PathFact::POWER_SAFE], assumed: [new Assumption(
                'machine.ports',
                'The stick and the charger each find a socket of their own: nobody has counted them.',
                'F8, U2',
                Door::choice('machine.ports', 'Count the sockets that a stick could go into.'),
            )]);
        }
        if (count($machine->ports) > 1 || $charging === []) {
            $where = $charging === [] ? 'its own charging socket' : "{$charging[0]->connector}, {$charging[0]->where}";
            $reasons = ["The charger has {$where} to itself; the stick goes into another socket."];
            $refused = ['battery' => ['There is no need to.']];

            return new Contribution(
                decisions: [self::source('charger', $reasons, $refused, [count($machine->ports).' ports'], 'J5')],
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

    /** The lowest whole percent of charge that gives the required energy; above 100 the battery cannot do it. */
    public static function percentFor(Energy $required, Energy $present, float $usable): int
    {
        return (int) ceil((100 * $required->milliwattHours) / ($present->milliwattHours * $usable));
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
            $from = self::UNKNOWN_DRAW_PERCENT;
            $reasons = [
                'The stick takes the only socket, and this machine\'s draw is not known.',
                "From {$from} % charge on it is safe to begin; a hub with a power input is better.",
            ];
            $refused = ['Better where one is at hand: then the charge does not matter.'];

            return self::batteryFrom($machine, $from, $reasons, [self::HUB => $refused]);
        }
        $present = $machine->battery->present();
        $required = self::required($draw, $stickIn, $present);
        $percent = self::percentFor($required, $present, $machine->battery->usable);
        $full = $present->times($machine->battery->usable);
        $figures = "{$draw->label()} × {$stickIn->label()} × 2 + 20 % of {$present->label()} = {$required->label()}; "
            ."a full charge gives {$full->label()}.";
        if ($percent <= 100) {
            $refused = ["Not needed from {$percent} % on; use it if the charge is lower."];

            return self::batteryFrom(
                $machine,
                $percent,
                ['The stick takes the only socket.', $figures],
                [self::HUB => $refused],
            );
        }

        return self::onlyByHub($machine, $draw, $percent, $figures);
    }

    /** Even a full battery does not last: the hub has to, and is refused where it drains the battery. */
    private static function onlyByHub(Machine $machine, Power $draw, int $percent, string $figures): Contribution
    {
        $hub = $machine->model->hub ?? Hub::usual();
        $net = self::hubNet(Power::watts($hub->chargerW), Power::watts($hub->hubW), $draw);
        $left = "Even a full battery does not last. Charger {$hub->chargerW} W − hub {$hub->hubW} W − "
            ."machine {$draw->label()} = {$net->label()} net.";
        $drains = "A {$hub->chargerW} W charger through the hub leaves {$net->label()}: the battery drains. "
            .'Use a stronger charger.';
        $refused = ['battery' => ["It would need {$percent} %."]];
        $facts = ['one port', $machine->title];

        return new Contribution(
            decisions: [self::source(self::HUB, [$figures, $left], $refused, $facts, 'F8')],
            gather: self::hubAndCharger((string) $hub->chargerW),
            initial: [PathFact::POWER_SAFE],
            blockers: $net->milliwatts < 0
                ? [
                    Blocker::narrow(
                        'hub-drains',
                        $drains,
                        'F8',
                        [Act::StartMedium, Act::Erase, Act::WriteSystem],
                        Door::fact('charger.watts', 'Take a stronger charger, and say what it gives.'),
                        ["net {$net->label()}"],
                    ),
                ]
                : [],
        );
    }

    /**
     * @param  list<string>  $reasons
     * @param  array<string, list<string>>  $refused
     * @param  list<string>  $facts
     */
    private static function source(
        string $chosen,
        array $reasons,
        array $refused,
        array $facts,
        string $rule,
    ): Decision {
        return new Decision('power.source', 'Power while the stick is in', $chosen, $reasons, $refused, $facts, $rule);
    }

    /** @return list<GatherItem> */
    private static function hubAndCharger(string $watts): array
    {
        return [
            new GatherItem(self::HUB, 'the stick and the charger share the only socket'),
            new GatherItem('charger', "{$watts} W or more, into the hub"),
        ];
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
        $figures =
            $net === null
                ? 'This machine\'s draw is not known.'
                : "Charger {$charger} W − hub {$hub->hubW} W − machine {$draw->label()} = {$net->label()} net.";

        $reasons = ['It lies ready: the stick and the charger share the only socket.', $figures];
        $refused = ['battery' => ['There is no need to.']];
        $facts = [$machine->fact('hub.at_hand')->origin];

        return new Contribution(
            decisions: [self::source(self::HUB, $reasons, $refused, $facts, 'F8, J5')],
            gather: self::hubAndCharger((string) $charger),
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
        $said = "charge {$read} %: {$machine->fact('battery.percent')->origin}";
        $facts = ['one port', $machine->title, ...$read === null ? [] : [$said]];
        $charging = $read === null || $read >= $percent ? null : Charging::of($machine, $read, $percent);
        $reasons = $charging === null ? $reasons : [...$reasons, $charging->sentence()];
        $decision = self::source($chosen, $reasons, $refused, $facts, 'F8');

        return new Contribution(
            steps: [ChargeStep::of($percent, $read !== null && $read >= $percent, $decision, $charging?->time())],
            decisions: [$decision],
            gather: [
                new GatherItem('charger', "to reach {$percent} % before the stick goes in, and again after it is out"),
                new GatherItem(self::HUB, 'if the charge is too low; a wired keyboard can share it'),
            ],
        );
    }
}
