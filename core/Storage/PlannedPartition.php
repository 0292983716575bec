<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

/** A partition with its place on the device. */
final readonly class PlannedPartition
{
    public function __construct(
        public int $number,
        public string $name,
        public PartitionType $type,
        public Extent $extent,
        public string $fileSystem,
        public string $role,
        public bool $active,
        public ?Fat32Geometry $fat32,
    ) {
    }
}
