<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;
use InvalidArgumentException;
use TypeError;
use ValueError;

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

    /**
     * A layout as toArray() wrote it; every figure is worked out anew and has to agree.
     *
     * @param  array<array-key, mixed>  $data
     *
     * @throws LayoutImpossible where it does not
     */
    public static function fromArray(array $data): self
    {
        try {
            $layout = self::read(Fields::of($data));
        } catch (ValueError|TypeError|InvalidArgumentException|InvalidQuantity $e) {
            throw LayoutImpossible::notReadable($e->getMessage());
        }
        $last = $layout->scheme->firstUsable($layout->sector) - 1;
        foreach ($layout->partitions as $partition) {
            if (
                $partition->extent->first <= $last ||
                $partition->extent->last() > $layout->scheme->lastUsable($layout->sector, $layout->sectors())
            ) {
                throw LayoutImpossible::notReadable(
                    "partition {$partition->number} overlaps another or leaves the device",
                );
            }
            $last = $partition->extent->last();
        }
        if ($layout->partitions === [] || $layout->toArray() != array_intersect_key($data, $layout->toArray())) {
            throw LayoutImpossible::notReadable('its figures do not agree with each other');
        }

        return $layout;
    }

    public function sectors(): int
    {
        return $this->sector->sectorsIn($this->device);
    }

    public function outOfReach(): Bytes
    {
        return $this->scheme->outOfReach($this->sector, $this->sectors());
    }

    /** @throws FieldFault|InvalidQuantity|InvalidArgumentException|TypeError|ValueError */
    private static function read(Fields $fields): self
    {
        $sector = SectorSize::from($fields->int('sector_bytes'));
        $partitions = [];
        foreach ($fields->blocks('partitions') as $part) {
            $extent = new Extent($part->int('first_sector'), $part->int('sectors'));
            $fileSystem = $part->string('file_system');
            $partitions[] = new PlannedPartition(
                $part->int('number'),
                $part->string('name'),
                $part->enum('type', PartitionType::class),
                $extent,
                $fileSystem,
                $part->string('role'),
                $part->bool('active'),
                $fileSystem === 'fat32' ? Fat32Geometry::forSectors($extent->count, $sector) : null,
            );
        }

        return new self(
            $fields->enum('scheme', Scheme::class),
            $sector,
            Bytes::of($fields->int('device_bytes')),
            Guid::of($fields->string('disk_guid')),
            $partitions,
        );
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
            'partitions' => array_map(
                fn (PlannedPartition $partition): array => [
                    'number' => $partition->number,
                    'name' => $partition->name,
                    'role' => $partition->role,
                    'type' => $partition->type->value,
                    'type_code' => $this->scheme->code($partition),
                    'active' => $partition->active,
                    'file_system' => $partition->fileSystem,
                    'first_sector' => $partition->extent->first,
                    'sectors' => $partition->extent->count,
                    'bytes' => $this->sector->bytes($partition->extent->count)->count,
                    'fat32' => $partition->fat32?->toArray(),
                ],
                $this->partitions,
            ),
        ];
    }
}
