<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Model\Release;

/** The shortest way through firmware releases that each name the oldest version they may be written over (rule F5). */
final class ReleasePath
{
    /**
     * @param  list<Release>  $releases
     * @return list<Release>|null in order; empty where the version is there already, null where no way leads there
     */
    public static function shortest(array $releases, string $from, string $to): ?array
    {
        if (version_compare($from, $to, '>=')) {
            return [];
        }
        $queue = [[$from, []]];
        $seen = [];
        while ($queue !== []) {
            [$at, $way] = array_shift($queue);
            foreach ($releases as $release) {
                $reachable =
                    ($release->from === null || version_compare($at, $release->from, '>=')) &&
                    version_compare($release->version, $at, '>') &&
                    version_compare($release->version, $to, '<=');
                if (! $reachable || isset($seen[$release->version])) {
                    continue;
                }
                if ($release->version === $to) {
                    return [...$way, $release];
                }
                $seen[$release->version] = true;
                $queue[] = [$release->version, [...$way, $release]];
            }
        }

        return null;
    }

    /**
     * The lowest release that gives what is needed; the newest where only "newer" is wanted.
     *
     * @param  list<Release>  $releases
     */
    public static function lowestGiving(array $releases, ?string $need): ?string
    {
        $giving = array_filter(
            $releases,
            static fn (Release $release): bool => $need === null || in_array($need, $release->gives, true),
        );
        $versions = array_map(static fn (Release $release): string => $release->version, array_values($giving));
        usort($versions, static fn (string $a, string $b): int => version_compare($a, $b));

        return $versions === [] ? null : ($need === null ? $versions[count($versions) - 1] : $versions[0]);
    }
}
