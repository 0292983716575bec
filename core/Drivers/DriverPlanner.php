<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Policy\Schools;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;

/** Which package for which device, which of them travel on the stick, and in which order (rules D4, D5). */
final class DriverPlanner
{
    /** Families without which the rest cannot be installed. */
    private const EARLY = ['network', 'storage'];

    /** @param  list<DriverPackage>  $shelf */
    public static function plan(Machine $machine, SystemProfile $system, array $shelf, Policy $policy): DriverPlan
    {
        $matcher = DriverMatcher::for($machine, $system, $shelf, $policy);
        $matches = $matcher->match($machine->devices);
        [$packages, $early, $builtIn, $unresolved] = self::sorted($matcher, $matches);
        $packages = self::withNeeds($packages, $shelf);
        $offline = self::offlineSet($packages, $early);
        $bySchool = DriverOrder::by($policy->school('driver_order'), array_values($packages));
        // What gets it online is installed from the stick before anything that may be fetched: decision and path say
        // the same order.
        $isOffline = static fn (DriverPackage $package): bool => isset($offline[$package->id]);
        $conflicts = DriverConflicts::in([
            ...array_filter($bySchool, $isOffline),
            ...array_filter($bySchool, static fn (DriverPackage $package): bool => ! $isOffline($package)),
        ]);
        $ordered = $conflicts->kept;
        $offline = array_values(array_filter($ordered, $isOffline));
        array_push($unresolved, ...self::left($matcher, $matches, $conflicts));

        $network = NetworkWay::of($machine, $system, $offline, $unresolved);
        $set = new DriverSet($ordered, $offline, $unresolved, $matches, $machine, $system);

        return new DriverPlan(
            $ordered,
            $offline,
            $builtIn,
            $unresolved,
            self::contribution($set, $policy, $network)->and(
                new Contribution(decisions: [
                    ...$matcher->decisions($matches),
                    ...$conflicts->decisions(),
                    ...self::needsMissing($conflicts->missing($shelf)),
                ]),
            ),
            $network->because,
            $matches,
            $shelf,
            $network->byHand,
        );
    }

    /**
     * Devices whose package cannot be with another, and that the system brings nothing for.
     *
     * @param  list<DeviceMatch>  $matches
     * @return list<Device>
     */
    private static function left(DriverMatcher $matcher, array $matches, DriverConflicts $conflicts): array
    {
        $left = [];
        foreach ($matches as $match) {
            if (
                $match->package !== null && ! $match->brings && $conflicts->isOut($matcher->package($match->package))
            ) {
                $left[] = $match->device;
            }
        }

        return $left;
    }

    /**
     * @param  list<string>  $missing
     * @return list<Decision>
     */
    private static function needsMissing(array $missing): array
    {
        return $missing === [] ? [] : [
            new Decision(
                'drivers.needs',
                'What packages need besides',
                'fetched first, from where the package came',
                $missing,
                [],
                [],
                'D4',
            ),
        ];
    }

    /**
     * @param  list<DeviceMatch>  $matches
     * @return array{array<string, DriverPackage>, array<string, DriverPackage>, list<Device>, list<Device>}
     *     packages, those of them without which the rest cannot come, devices of the system, devices of nobody
     */
    private static function sorted(DriverMatcher $matcher, array $matches): array
    {
        $packages = $early = $builtIn = $unresolved = [];
        foreach ($matches as $match) {
            if ($match->package !== null) {
                $package = $matcher->package($match->package);
                $packages[$package->id] = $package;
                if (! $match->brings && in_array($package->family, self::EARLY, true)) {
                    $early[$package->id] = $package;
                }
            } elseif ($match->brings) {
                $builtIn[] = $match->device;
            } else {
                $unresolved[] = $match->device;
            }
        }

        return [$packages, $early, $builtIn, $unresolved];
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
     * What has to be on the stick, with what it needs: the network, as nothing can be fetched before, and the drive
     * that the installer must see (rule D5).
     *
     * @param  array<string, DriverPackage>  $packages
     * @param  array<string, DriverPackage>  $early  those for devices that the system has no driver for by itself
     * @return array<string, DriverPackage>
     */
    private static function offlineSet(array $packages, array $early): array
    {
        $offline = [];
        while ($early !== []) {
            $package = array_shift($early);
            $offline[$package->id] = $package;
            foreach ($package->needs as $id) {
                if (isset($packages[$id]) && ! isset($offline[$id])) {
                    $early[] = $packages[$id];
                }
            }
        }

        return $offline;
    }

    private static function contribution(DriverSet $set, Policy $policy, NetworkWay $network): Contribution
    {
        $school = $policy->school('driver_order');
        $names = array_map(static fn (DriverPackage $package): string => $package->name, $set->ordered);
        $decisions = [];
        if ($set->ordered !== []) {
            $others = array_diff(array_keys(Schools::all()['driver_order']->options), [$school]);
            $decisions[] = new Decision(
                'drivers.order',
                'Order of drivers',
                implode(', then ', $names),
                [
                    "The bench policy is \"{$school}\"; packages that need another come after it.",
                    ...$set->offline === [] ? [] : ['What gets it online comes first, from the stick.'],
                ],
                array_fill_keys($others, ['Another school; a job can depart from the policy.']),
                ["policy driver_order = {$school}"],
                'D4',
            );
        }
        $decisions[] = $network->decision;

        return DriverSteps::for($set)->and(
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
