<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Findings\SocketStage;
use Cobblestone\Findings\SocketUse;
use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;

/**
 * What is plugged in where, stage by stage, and whether a portable still charges; null for a machine on mains (rule
 * J5).
 */
final class PortUse
{
    /**
     * @param  string|null  $stick  the stick's connector
     * @param  bool  $backup  whether a backup drive is attached before
     * @return list<SocketStage>
     */
    public static function of(Machine $machine, ?string $stick, bool $backup): array
    {
        if ($machine->ports === []) {
            return [];
        }
        $stages = [];
        if ($backup) {
            $stages[] = self::stage($machine, 'Back up', ['backup drive' => null]);
        }
        $stages[] = self::stage($machine, 'Start from the stick and install', ['stick' => $stick]);
        $stages[] = self::stage($machine, 'First boot and updates', []);

        return $stages;
    }

    /** @param  array<string, string|null>  $things  what => its connector */
    private static function stage(Machine $machine, string $stage, array $things): SocketStage
    {
        $free = $machine->ports;
        $uses = [];
        $notes = [];
        foreach ($things as $what => $connector) {
            $port = FirmwarePlanner::portFor(
                new Machine($machine->title, $machine->kind, $machine->facts, ports: $free),
                $connector,
            );
            if ($port === null) {
                $notes[] = "no socket is left for the {$what}: a hub";

                continue;
            }
            $uses[] = self::row($port, $what, $connector);
            $free = array_values(array_filter($free, static fn (Port $other): bool => $other->id !== $port->id));
        }
        $charger = null;
        foreach ($machine->kind->isPortable() ? $free : [] as $port) {
            $charger ??= $port->charges ? $port : null;
        }
        if ($charger !== null) {
            $uses[] = new SocketUse(self::name($charger), 'charger');
        }
        $charges = $machine->kind->isPortable() ? $charger !== null : null;
        if (
            $charges === false &&
            array_filter($machine->ports, static fn (Port $port): bool => $port->charges) !== []
        ) {
            $notes[] = 'the charger\'s socket is taken, so it runs on its battery';
        }

        return new SocketStage($stage, $uses, $charges, implode('; ', $notes));
    }

    private static function row(Port $port, string $what, ?string $connector): SocketUse
    {
        $adapter = $connector !== null && $port->connector !== $connector;

        return new SocketUse(self::name($port), $what.($adapter ? " through an adapter from {$connector}" : ''));
    }

    private static function name(Port $port): string
    {
        return "{$port->connector}, {$port->where}";
    }
}
