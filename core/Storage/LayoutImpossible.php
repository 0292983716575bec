<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Quantity\Bytes;
use DomainException;

/** A layout that cannot exist on this device, with the figures that rule it out. */
final class LayoutImpossible extends DomainException
{
    public static function noRoom(string $what, Bytes $wanted, Bytes $free): self
    {
        return new self(
            "There is no room for {$what}: it needs {$wanted->binary()} ({$wanted->exact()}), {$free->binary()} "
                ."({$free->exact()}) are free. Choose a larger device or a smaller part.",
        );
    }

    public static function tooManyPartitions(Scheme $scheme, int $count, int $limit): self
    {
        return new self("{$scheme->title()} holds {$limit} partitions, {$count} are wanted.");
    }

    public static function fat32TooSmall(Bytes $volume, Bytes $cluster): self
    {
        return new self(
            "A volume of {$volume->binary()} with {$cluster->binary()} clusters has fewer than ".
                Fat32Geometry::MIN_CLUSTERS.
                ' of them and would not be FAT32.',
        );
    }

    public static function fat32TooLarge(Bytes $volume): self
    {
        return new self("A volume of {$volume->binary()} is past what FAT32 can count.");
    }

    public static function notReadable(string $why): self
    {
        return new self("This is no layout: {$why}.");
    }

    public static function twoRests(): self
    {
        return new self('Only one partition can take the rest of the device.');
    }

    public static function deviceTooSmall(Bytes $device): self
    {
        return new self(
            "A device of {$device->binary()} has no room for a partition table and a partition at 1 MiB.",
        );
    }
}
