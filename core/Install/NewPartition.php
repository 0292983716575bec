<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemPartition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Extent;

/** A partition that is made in the room between what stays. */
final readonly class NewPartition
{
    public function __construct(public SystemPartition $wanted, public Extent $extent, public Bytes $size)
    {
    }

    /** @return array<string, mixed> as a part of a layout */
    public function toArray(): array
    {
        return [
            'name' => $this->wanted->name,
            'role' => $this->wanted->role,
            'file_system' => $this->wanted->fileSystem,
            'first_sector' => $this->extent->first,
            'sectors' => $this->extent->count,
            'bytes' => $this->size->count,
        ];
    }
}
