<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\DoneWords;
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
    public static function for(DriverSet $set): Contribution
    {
        [$ordered, $offline] = [$set->ordered, $set->offline];
        $offlineIds = array_map(static fn (DriverPackage $package): string => $package->id, $offline);
        $restarts = DriverOrder::restarts($ordered);
        $steps = $offline === [] ? [] : [self::stickInAgain($offline)];
        $last = end($offlineIds);
        foreach ($ordered as $package) {
            $steps[] = self::install(
                $package,
                $set,
                in_array($package->id, $offlineIds, true),
                isset($restarts[$package->id]),
                $package->id === $last,
            );
        }
        $steps[] = LookOverStep::of($set);

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
                    Counted::of(count($ordered), 'package').", {$size->decimal()}, matched by identifier to this "
                        .'machine\'s devices.',
                    'D3, D5',
                ),
            ],
        );
    }

    /**
     * The stick came out at the first restart; the drivers lie on it.
     *
     * @param  list<DriverPackage>  $offline
     */
    private static function stickInAgain(array $offline): Step
    {
        return new Step(
            'drivers.stick-in',
            Stage::Network,
            'Stick in again',
            Presence::Hands,
            Estimate::minutes(0.2, 0.5, 2),
            ['Put the stick with the folder of drivers in, now that the system runs.'],
            before: [PathFact::FIRST_BOOT_DONE],
            after: [PathFact::STICK_IN_AGAIN],
            needs: ['hands', 'stick'],
            because: [
                new Reason(
                    implode(', ', array_map(static fn (DriverPackage $of): string => $of->name, $offline))
                        .(count($offline) === 1 ? ' lies' : ' lie').' on it.',
                    'D5',
                ),
            ],
        );
    }

    /** @param  bool  $last  whether it is the last one that comes from the stick */
    private static function install(
        DriverPackage $package,
        DriverSet $set,
        bool $offline,
        bool $restart,
        bool $last,
    ): Step {
        $present = array_map(static fn (DriverPackage $other): string => $other->id, $set->ordered);
        $needs = array_values(array_map(PathFact::driver(...), array_intersect($package->needs, $present)));
        $do = [
            $offline
                ? 'Open the driver folder on the stick.'
                : 'Open the driver folder, or fetch the package from the shelf.',
            ...InstallWords::of($package, $set),
            ...$last ? ['Pull the stick again.'] : [],
            self::restarting($package, $restart),
        ];

        return new Step(
            "drivers.{$package->id}",
            $offline ? Stage::Network : Stage::Drivers,
            $package->name,
            Presence::Hands,
            self::time($package, $restart),
            $do,
            before: [
                PathFact::FIRST_BOOT_DONE,
                ...$offline ? [PathFact::STICK_IN_AGAIN] : [PathFact::ONLINE, PathFact::UPDATED],
                ...$needs,
            ],
            after: [PathFact::driver($package->id)],
            needs: ['hands'],
            done: DoneWords::in(SheetPart::Drivers, "{$package->name} {$package->version}"),
            acts: [Act::WriteSystem],
            because: InstallWords::because($package, $set),
            waiting: self::waiting($package, $restart),
        );
    }

    private static function time(DriverPackage $package, bool $restart): Estimate
    {
        return Estimate::minutes(...array_map(
            static fn (int|float $minutes): float => $minutes + ($restart ? 1.5 : 0),
            $package->minutes,
        ));
    }

    private static function waiting(DriverPackage $package, bool $restart): Waiting
    {
        return new Waiting(
            [
                match ($package->family) {
                    'graphics' => 'the screen flickers or goes black for some seconds',
                    'network' => 'the connection drops for some seconds',
                    'input' => 'pointer or touch stands still for some seconds',
                    'audio' => 'the sound stops, and a new device is announced',
                    default => 'devices go and come in the list for some seconds',
                },
            ],
            'Wait two minutes; then restart once.',
            $restart ? 1 : 0,
        );
    }

    private static function restarting(DriverPackage $package, bool $restart): string
    {
        return match (true) {
            $restart => 'Restart now.',
            $package->restart === 'after' => 'It wants a restart: that comes later, once for all.',
            default => 'No restart.',
        };
    }
}
