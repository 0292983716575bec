<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Machine\Device;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Text\Counted;

/** The stones of driver setup: laid ready, installed one by one, looked over at the end. */
final class DriverSteps
{
    /**
     * @param  list<DriverPackage>  $ordered
     * @param  list<DriverPackage>  $offline
     * @param  list<Device>  $unresolved
     */
    public static function for(array $ordered, array $offline, array $unresolved, bool $devicesUnknown): Contribution
    {
        $offlineIds = array_map(static fn (DriverPackage $package): string => $package->id, $offline);
        $restarts = DriverOrder::restarts($ordered);
        $steps = [];
        foreach ($ordered as $package) {
            $isOffline = in_array($package->id, $offlineIds, true);
            $steps[] = self::install(
                $package,
                $ordered,
                $isOffline,
                isset($restarts[$package->id]),
            );
        }
        $steps[] = self::audit($ordered, $unresolved, $devicesUnknown);

        return $ordered === []
            ? new Contribution($steps, initial: [PathFact::DRIVERS_FETCHED])
            : new Contribution([self::fetch($ordered, $offline), ...$steps]);
    }

    /**
     * @param  list<DriverPackage>  $ordered
     * @param  list<DriverPackage>  $offline
     */
    private static function fetch(array $ordered, array $offline): Step
    {
        $size = DriverPlanner::size($ordered);

        return new Step(
            'drivers.fetch',
            Stage::FetchDrivers,
            'Lay drivers ready',
            Presence::Hands,
            Estimate::minutes(1, 2, 5),
            [
                'Take these from the shelf and compare their checksums:',
                ...array_map(
                    static fn (
                        DriverPackage $package,
                    ): string => "{$package->name} {$package->version} · {$package->size()->decimal()} · sha256 `".
                        substr($package->sha256, 0, 12).
                        '…`',
                    $ordered,
                ),
                $offline === []
                    ? 'None of them has to travel on the stick.'
                    : 'On the stick, in a folder of their own: '.
                        implode(
                            ', ',
                            array_map(static fn (DriverPackage $package): string => $package->name, $offline),
                        ).
                        '.',
            ],
            after: [PathFact::DRIVERS_FETCHED],
            needs: ['hands', 'bench computer'],
            because: [
                new Reason(
                    count($ordered)." packages, {$size->decimal()}, matched by identifier to this model's devices.",
                    'D3, D5',
                ),
            ],
        );
    }

    /** @param  list<DriverPackage>  $ordered */
    private static function install(DriverPackage $package, array $ordered, bool $offline, bool $restart): Step
    {
        $present = array_map(static fn (DriverPackage $other): string => $other->id, $ordered);
        $needs = array_values(array_map(PathFact::driver(...), array_intersect($package->needs, $present)));
        $do = self::instructions($offline, $package, $restart);

        return new Step(
            "drivers.{$package->id}",
            $offline ? Stage::Network : Stage::Drivers,
            $package->name,
            Presence::Hands,
            Estimate::minutes(
                ...array_map(
                    static fn (int|float $minutes): float => $minutes + ($restart ? 1.5 : 0),
                    $package->minutes,
                ),
            ),
            $do,
            before: [PathFact::FIRST_BOOT_DONE, ...$offline ? [] : [PathFact::ONLINE, PathFact::UPDATED], ...$needs],
            after: [PathFact::driver($package->id)],
            needs: ['hands'],
            done: DoneWords::in(SheetPart::Drivers, "{$package->name} {$package->version}"),
            acts: [Act::WriteSystem],
            because: self::because($package),
            waiting: new Waiting(
                ['the screen flickers or goes black for some seconds'],
                'Wait two minutes; then restart once.',
                $restart ? 1 : 0,
            ),
        );
    }

    /**
     * @return list<string>
     */
    private static function instructions(bool $offline, DriverPackage $package, bool $restart): array
    {
        return [
            $offline
                ? 'Open the driver folder on the stick.'
                : 'Open the driver folder, or fetch the package from the shelf.',
            "Install {$package->name} {$package->version}.",
            $restart
                ? 'Restart now.'
                : ($package->restart === 'after'
                    ? 'It wants a restart: that comes later, once for all.'
                    : 'No restart.'),
        ];
    }

    /**
     * @return list<Reason>
     */
    private static function because(DriverPackage $package): array
    {
        return [
            new Reason(
                'Claims '.implode(', ', $package->claims).', which this model has.',
                'D3',
                "shelf, {$package->date}",
            ),
            ...$package->needs === []
                ? []
                : [new Reason('Comes after what it needs: '.implode(', ', $package->needs).'.', 'D4')],
        ];
    }

    /**
     * @param  list<DriverPackage>  $ordered
     * @param  list<Device>  $unresolved
     */
    private static function audit(array $ordered, array $unresolved, bool $devicesUnknown): Step
    {
        $open = array_map(
            static fn (
                Device $device,
            ): string => "Nothing on the shelf for {$device->name} (`{$device->identifier}`): look at the maker's "
                .'page for exactly this model.',
            $unresolved,
        );

        return new Step(
            'drivers.audit',
            Stage::Drivers,
            'Look drivers over',
            Presence::Hands,
            Estimate::minutes(1, 3, 10),
            [
                'List the devices: none may be left without a driver.',
                ...$devicesUnknown
                    ? ['This machine\'s devices are not in the catalogue: note each identifier that has no driver.']
                    : $open,
            ],
            before: [
                PathFact::ONLINE,
                PathFact::UPDATED,
                ...array_map(static fn (DriverPackage $package): string => PathFact::driver($package->id), $ordered),
            ],
            after: [PathFact::DRIVERS_COMPLETE],
            needs: ['hands'],
            done: DoneWords::in(SheetPart::Drivers, 'Every device was looked over.', 'without_driver'),
            evidence: self::readings($unresolved),
            because: [
                self::looked($devicesUnknown, $unresolved),
            ],
        );
    }

    /**
     * @param  list<Device>  $unresolved
     * @return list<Evidence>
     */
    private static function readings(array $unresolved): array
    {
        return [
            new Evidence(
                'without_driver',
                'Devices without a driver',
                EvidenceKind::Count,
                expected: new Expected((string) count($unresolved)),
                overruledBy: ['lead'],
                remedy: $unresolved === []
                    ? 'Look for its package by identifier; its row says which device.'
                    : 'The shelf has none for '.count($unresolved).' of them.',
            ),
        ];
    }

    /**
     * @param  list<Device>  $unresolved
     */
    private static function looked(bool $devicesUnknown, array $unresolved): Reason
    {
        return new Reason(
            $devicesUnknown
                ? 'What is inside is only known once a system runs.'
                : ($unresolved === []
                    ? 'Every device of this model has a package or is served by the system.'
                    : Counted::of(count($unresolved), 'device').(count($unresolved) === 1 ? ' has' : ' have')
                        .' no package on the shelf.'),
            'D7',
        );
    }
}
