<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;

/** Which package for which device, which of them travel on the stick, and in which order (rules D4, D5). */
final class DriverPlanner
{
    /** @param  list<DriverPackage>  $shelf */
    public static function plan(Machine $machine, SystemProfile $system, array $shelf, Policy $policy): DriverPlan
    {
        $packages = [];
        $unresolved = [];
        $builtIn = [];
        foreach ($machine->devices as $device) {
            $package = self::match($device, $system->id, $machine->model?->id, $shelf);
            if ($package !== null) {
                $packages[$package->id] = $package;
            } elseif ($system->brings($device->family)) {
                $builtIn[] = $device;
            } else {
                $unresolved[] = $device;
            }
        }
        $packages = self::withNeeds($packages, $shelf);
        $offline = self::offlineSet($packages, $system);
        $bySchool = DriverOrder::by($policy->school('driver_order'), array_values($packages));
        // What gets it online is installed from the stick before anything that may be fetched: decision and path say
        // the same order.
        $isOffline = static fn (DriverPackage $package): bool => isset($offline[$package->id]);
        $ordered = [
            ...array_filter($bySchool, $isOffline),
            ...array_filter($bySchool, static fn (DriverPackage $package): bool => ! $isOffline($package)),
        ];
        $offline = array_values($offline);

        $network = NetworkWay::of($machine, $system, $offline, $unresolved);

        return new DriverPlan(
            $ordered,
            $offline,
            $builtIn,
            $unresolved,
            self::contribution($machine, $ordered, $offline, $unresolved, $policy, $network),
            $network->because,
        );
    }

    /**
     * The package that claims the device: locked for this model first, then the later date.
     *
     * @param  list<DriverPackage>  $shelf
     */
    private static function match(Device $device, string $system, ?string $model, array $shelf): ?DriverPackage
    {
        $fit = array_values(
            array_filter(
                $shelf,
                static fn (DriverPackage $package): bool => $package->claimsDevice($device) &&
                    $package->fits($system, $model),
            ),
        );
        usort(
            $fit,
            static fn (DriverPackage $a, DriverPackage $b): int => [$b->isLocked(), $b->date, $a->id] <=> [
                $a->isLocked(),
                $a->date,
                $b->id,
            ],
        );

        return $fit[0] ?? null;
    }

    /**
     * @param  array<string, DriverPackage>  $packages
     * @param  list<DriverPackage>  $shelf
     * @return array<string, DriverPackage>
     */
    private static function withNeeds(array $packages, array $shelf): array
    {
        $byId = [];
        foreach ($shelf as $package) {
            $byId[$package->id] = $package;
        }
        $queue = $packages;
        while ($queue !== []) {
            $package = array_shift($queue);
            foreach ($package->needs as $id) {
                if (! isset($packages[$id]) && isset($byId[$id])) {
                    $packages[$id] = $queue[] = $byId[$id];
                }
            }
        }

        return $packages;
    }

    /**
     * The network set and what it needs: it has to be on the stick, as nothing can be fetched before (rule D5).
     *
     * @param  array<string, DriverPackage>  $packages
     * @return array<string, DriverPackage>
     */
    private static function offlineSet(array $packages, SystemProfile $system): array
    {
        $offline = [];
        $queue = array_filter(
            $packages,
            static fn (DriverPackage $package): bool => $package->family === 'network' && ! $system->brings('network'),
        );
        while ($queue !== []) {
            $package = array_shift($queue);
            $offline[$package->id] = $package;
            foreach ($package->needs as $id) {
                if (isset($packages[$id]) && ! isset($offline[$id])) {
                    $queue[] = $packages[$id];
                }
            }
        }

        return $offline;
    }

    /**
     * @param  list<DriverPackage>  $ordered
     * @param  list<DriverPackage>  $offline
     * @param  list<Device>  $unresolved
     */
    private static function contribution(
        Machine $machine,
        array $ordered,
        array $offline,
        array $unresolved,
        Policy $policy,
        NetworkWay $network,
    ): Contribution {
        $school = $policy->school('driver_order');
        $names = array_map(static fn (DriverPackage $package): string => $package->name, $ordered);
        $decisions = [];
        if ($ordered !== []) {
            $others = array_diff(array_keys(Policy::SCHOOLS['driver_order']), [$school]);
            $decisions[] = new Decision(
                'drivers.order',
                'Order of drivers',
                implode(', then ', $names),
                [
                    "The bench policy is \"{$school}\"; packages that need another come after it.",
                    ...$offline === [] ? [] : ['What gets it online comes first, from the stick.'],
                ],
                array_fill_keys($others, ['Another school; a job can depart from the policy.']),
                ["policy driver_order = {$school}"],
                'D4',
            );
        }
        $decisions[] = $network->decision;

        return DriverSteps::for($ordered, $offline, $unresolved, $machine->devices === [])->and(
            new Contribution(decisions: $decisions, questions: $network->questions),
        );
    }

    /** @param  list<DriverPackage>  $packages */
    public static function size(array $packages): Bytes
    {
        return Bytes::of(
            array_sum(array_map(static fn (DriverPackage $package): int => $package->size()->count, $packages)),
        );
    }
}
