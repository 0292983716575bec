<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Quantity\Bytes;

/** One partition wanted on a device; without a size it takes the rest. */
final readonly class PartitionRequest
{
    public function __construct(
        public string $name,
        public PartitionType $type,
        public ?Bytes $size = null,
        public string $fileSystem = 'none',
        public string $role = 'data',
        public bool $active = false,
    ) {
    }
}
