<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Quantity\Bytes;

/** Where everything on a device is, in sectors. Made by LayoutBuilder, which guarantees the order and the bounds. */
final readonly class Layout
{
    /** @param  list<PlannedPartition>  $partitions */
    public function __construct(
        public Scheme $scheme,
        public SectorSize $sector,
        public Bytes $device,
        public Guid $diskGuid,
        public array $partitions,
    ) {
    }

    public function sectors(): int
    {
        return $this->sector->sectorsIn($this->device);
    }

    public function outOfReach(): Bytes
    {
        return $this->scheme->outOfReach($this->sector, $this->sectors());
    }

    /** GUID of one partition, always the same for the same device and place. */
    public function partitionGuid(PlannedPartition $partition): Guid
    {
        return Guid::fromSeed("{$this->diskGuid->text} partition {$partition->number}");
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'scheme' => $this->scheme->value,
            'sector_bytes' => $this->sector->value,
            'device_bytes' => $this->device->count,
            'device_sectors' => $this->sectors(),
            'out_of_reach_bytes' => $this->outOfReach()->count,
            'disk_guid' => $this->diskGuid->text,
            'partitions' => array_map(fn (PlannedPartition $partition): array => [
                'number' => $partition->number,
                'name' => $partition->name,
                'role' => $partition->role,
                'type' => $partition->type->value,
                'type_code' => $this->scheme === Scheme::Gpt ? $partition->type->guid() : sprintf('0x%02X', $partition->type->mbrCode($partition->fat32 !== null)),
                'active' => $partition->active,
                'file_system' => $partition->fileSystem,
                'first_sector' => $partition->extent->first,
                'sectors' => $partition->extent->count,
                'bytes' => $this->sector->bytes($partition->extent->count)->count,
                'fat32' => $partition->fat32?->toArray(),
            ], $this->partitions),
        ];
    }
}
