<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/** Whether a reading was able to show tables and file systems, and whether a whole drive is in use without a table. */
final class LsblkContents
{
    /**
     * Without the right to look, lsblk prints null for every table and file system; only where it shows one anywhere
     * is "none" a finding.
     *
     * @param  list<mixed>  $entries
     */
    public static function areShown(array $entries): bool
    {
        foreach ($entries as $entry) {
            if (! is_array($entry)) {
                continue;
            }
            $children = is_array($entry['children'] ?? null) ? array_values($entry['children']) : [];
            if (
                LsblkReader::text($entry, 'pttype') !== null ||
                LsblkReader::text($entry, 'fstype') !== null ||
                self::areShown($children)
            ) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<mixed>  $entry */
    public static function areInUse(array $entry): bool
    {
        return LsblkPartitions::mountpoints($entry) !== [] || LsblkReader::number($entry, 'fsused') !== null;
    }
}
