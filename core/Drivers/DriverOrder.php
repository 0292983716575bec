<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;

/** Order of packages by school; what a package needs always comes before it (rule D4). */
final class DriverOrder
{
    private const FAMILIES = [
        'chipset-first' => ['chipset', 'storage', 'network', 'graphics', 'audio', 'input', 'sensor'],
        'network-first' => ['network', 'chipset', 'storage', 'graphics', 'audio', 'input', 'sensor'],
        'graphics-first' => ['graphics', 'chipset', 'storage', 'network', 'audio', 'input', 'sensor'],
    ];

    /**
     * @param  list<DriverPackage>  $packages
     * @return list<DriverPackage>
     */
    public static function by(string $school, array $packages): array
    {
        usort($packages, static fn (DriverPackage $a, DriverPackage $b): int => $a->id <=> $b->id);
        $ordered = [];
        while ($packages !== []) {
            $ready = self::ready($packages);
            $place = static fn (DriverPackage $of): array => [self::rank($school, $of, $packages), $of->id];
            usort($ready, static fn (DriverPackage $a, DriverPackage $b): int => $place($a) <=> $place($b));
            $ordered[] = $ready[0];
            $packages = array_values(
                array_filter($packages, static fn (DriverPackage $package): bool => $package !== $ready[0]),
            );
        }

        return $ordered;
    }

    /**
     * Those that need nothing which is still to come; all of them where they need each other in a circle.
     *
     * @param  non-empty-list<DriverPackage>  $packages
     * @return non-empty-list<DriverPackage>
     */
    private static function ready(array $packages): array
    {
        $open = array_map(static fn (DriverPackage $package): string => $package->id, $packages);
        $ready = array_values(
            array_filter(
                $packages,
                static fn (DriverPackage $package): bool => array_intersect($package->needs, $open) === [],
            ),
        );

        return $ready === [] ? $packages : $ready;
    }

    /**
     * The packages after which a restart is due: at once where a package wants it, else one for all at the end.
     *
     * @param  list<DriverPackage>  $ordered
     * @return array<string, true> package id => restart after it
     */
    public static function restarts(array $ordered): array
    {
        $restarts = [];
        $pending = null;
        foreach ($ordered as $package) {
            if ($package->restart === 'at-once') {
                $restarts[$package->id] = true;
                $pending = null;
            } elseif ($package->restart === 'after') {
                $pending = $package->id;
            }
        }
        $last = end($ordered);
        if ($pending !== null && $last !== false) {
            $restarts[$last->id] = true;
        }

        return $restarts;
    }

    /** @param  list<DriverPackage>  $open  all that are still to come */
    private static function rank(string $school, DriverPackage $package, array $open): int
    {
        return $school === 'free'
            ? self::restartRank($package, $open)
            : (int) array_search($package->family, self::FAMILIES[$school], true);
    }

    /**
     * What restarts at once comes as late as it may: its restart then serves all before it that want one too. Of
     * several, first the one that something which wants a restart later still waits for.
     *
     * @param  list<DriverPackage>  $open
     */
    private static function restartRank(DriverPackage $package, array $open): int
    {
        if ($package->restart !== 'at-once') {
            return 0;
        }
        $waiting = [$package->id => true];
        do {
            $before = count($waiting);
            foreach ($open as $other) {
                if (array_intersect($other->needs, array_keys($waiting)) !== []) {
                    $waiting[$other->id] = true;
                }
            }
        } while (count($waiting) > $before);
        foreach ($open as $other) {
            if ($other->restart === 'after' && isset($waiting[$other->id])) {
                return 1;
            }
        }

        return 2;
    }
}
