<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;

/** The children of one drive in lsblk's output: partitions, and what is stacked on them. */
final class LsblkPartitions
{
    /** lsblk gives START in units of 512 bytes whatever the drive's own sector is. */
    private const START_UNIT = 512;

    /**
     * @param  list<mixed>  $children
     * @param  list<string>  $notes
     * @return list<Partition>
     */
    public static function read(
        array $children,
        Bytes $drive,
        int $logicalSector,
        string $driveName,
        array &$notes,
    ): array {
        $partitions = [];
        foreach ($children as $child) {
            if (! is_array($child)) {
                $notes[] = "{$driveName}: an entry below it is not a partition and was left out.";

                continue;
            }
            $name = LsblkReader::text($child, 'name') ?? 'a partition';
            $size = LsblkReader::bytes($child, 'size', $name, $notes);
            if ($size === null || $size->isMoreThan($drive)) {
                $why = $size === null ? 'its size cannot be used' : "it says it is larger than its drive {$driveName}";
                $notes[] = "{$name}: left out, {$why}.";

                continue;
            }
            $start = LsblkReader::number($child, 'start');
            $fileSystem = LsblkReader::text($child, 'fstype');
            $partitions[] = new Partition(
                name: $name,
                size: $size,
                startSector: $start === null ? null : intdiv($start * self::START_UNIT, $logicalSector),
                fileSystem: $fileSystem,
                label: LsblkReader::text($child, 'label'),
                type: LsblkReader::text($child, 'parttype'),
                used: isset($child['fsused']) ? LsblkReader::bytes($child, 'fsused', $name, $notes) : null,
                mountpoints: self::mountpoints($child),
                encrypted: self::isEncrypted($child, $fileSystem),
            );
        }

        return $partitions;
    }

    /** @param  array<mixed>  $child */
    private static function isEncrypted(array $child, ?string $fileSystem): bool
    {
        if ($fileSystem !== null && str_starts_with(strtolower($fileSystem), 'crypto_')) {
            return true;
        }
        foreach (is_array($child['children'] ?? null) ? $child['children'] : [] as $below) {
            if (is_array($below) && ($below['type'] ?? null) === 'crypt') {
                return true;
            }
        }

        return false;
    }

    /**
     * Older lsblk has "mountpoint", newer "mountpoints" with null inside.
     *
     * @param  array<mixed>  $child
     * @return list<string>
     */
    public static function mountpoints(array $child): array
    {
        $given = $child['mountpoints'] ?? [$child['mountpoint'] ?? null];

        return is_array($given) ? array_values(array_filter($given, is_string(...))) : [];
    }
}
