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
        usort(
            $packages,
            static fn (DriverPackage $a, DriverPackage $b): int => [self::rank($school, $a), $a->id] <=> [
                self::rank($school, $b),
                $b->id,
            ],
        );
        $ordered = [];
        while ($packages !== []) {
            $open = array_map(static fn (DriverPackage $package): string => $package->id, $packages);
            $next = 0;
            foreach ($packages as $index => $package) {
                if (array_intersect($package->needs, $open) === []) {
                    $next = $index;
                    break;
                }
            }
            $ordered[] = $packages[$next];
            array_splice($packages, $next, 1);
        }

        return $ordered;
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

    private static function rank(string $school, DriverPackage $package): int
    {
        return $school === 'free'
            ? (int) array_search($package->restart, ['at-once', 'none', 'after'], true)
            : (int) array_search($package->family, self::FAMILIES[$school], true);
    }
}
