<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemPartition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\DevicePart;
use Cobblestone\Storage\Extent;

/** A partition that is made in the room between what stays. */
final readonly class NewPartition
{
    public function __construct(public SystemPartition $wanted, public Extent $extent, public Bytes $size)
    {
    }

    /** As a part of the drive as it will be. */
    public function part(): DevicePart
    {
        return new DevicePart(
            $this->wanted->name,
            $this->wanted->role,
            $this->extent->first,
            $this->extent->count,
            $this->size->count,
            $this->wanted->fileSystem,
        );
    }
}
