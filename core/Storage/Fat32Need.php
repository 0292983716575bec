<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Quantity\Bytes;

/** What files take on a FAT32 volume, in whole clusters, directories included (rule M6). */
final class Fat32Need
{
    public const ENTRY_BYTES = 32;

    /** A directory holds at most 65 536 entries of 32 bytes. */
    public const MAX_ENTRIES = 65_536;

    private const UNITS_PER_LONG_ENTRY = 13;

    /**
     * Exact need of a list of files. Paths use "/"; directories follow from them.
     *
     * @param  array<string, int>  $files  path => bytes
     * @param  bool  $label  whether the root carries a volume label
     *
     * @throws LayoutImpossible where one directory would hold too many entries
     */
    public static function exact(array $files, Bytes $cluster, bool $label = true): Bytes
    {
        $clusters = 0;
        $entries = ['' => $label ? 1 : 0];
        foreach ($files as $path => $bytes) {
            $clusters += Bytes::of($bytes)->portions($cluster);
            $parts = explode('/', trim((string) $path, '/'));
            $parent = '';
            foreach ($parts as $depth => $name) {
                $child = $parent === '' ? $name : "{$parent}/{$name}";
                $isFile = $depth === count($parts) - 1;
                if ($isFile || ! isset($entries[$child])) {
                    $entries[$parent] += self::entriesFor($name);
                    if (! $isFile) {
                        $entries[$child] = 2;
                    }
                }
                $parent = $child;
            }
        }
        foreach ($entries as $path => $count) {
            if ($count > self::MAX_ENTRIES) {
                throw LayoutImpossible::noRoom(
                    "the directory /{$path} with {$count} entries",
                    Bytes::of($count * self::ENTRY_BYTES),
                    Bytes::of(self::MAX_ENTRIES * self::ENTRY_BYTES),
                );
            }
            $clusters += max(1, Bytes::of($count * self::ENTRY_BYTES)->portions($cluster));
        }

        return Bytes::of($clusters * $cluster->count);
    }

    /**
     * An upper bound where only totals are known: every file wastes at most one cluster, every name is as long as
     * $longestName.
     */
    public static function atMost(
        int $files,
        int $directories,
        Bytes $bytes,
        Bytes $cluster,
        int $longestName = 64,
    ): Bytes {
        $entries =
            ($files + $directories) *
                (1 + intdiv($longestName + self::UNITS_PER_LONG_ENTRY - 1, self::UNITS_PER_LONG_ENTRY)) +
            2 * $directories +
            1;
        $fileClusters = intdiv($bytes->count, $cluster->count) + $files;
        $directoryClusters = intdiv($entries * self::ENTRY_BYTES, $cluster->count) + $directories + 1;

        return Bytes::of(($fileClusters + $directoryClusters) * $cluster->count);
    }

    /** One entry for a plain upper-case 8.3 name, else 1 + ceil(UTF-16 units / 13). */
    public static function entriesFor(string $name): int
    {
        if (preg_match('/^[A-Z0-9!#$%&\'()@^_`{}~-]{1,8}(\.[A-Z0-9!#$%&\'()@^_`{}~-]{1,3})?$/', $name) === 1) {
            return 1;
        }
        $units = intdiv(strlen((string) mb_convert_encoding($name, 'UTF-16LE', 'UTF-8')), 2);

        return 1 + intdiv($units + self::UNITS_PER_LONG_ENTRY - 1, self::UNITS_PER_LONG_ENTRY);
    }
}
