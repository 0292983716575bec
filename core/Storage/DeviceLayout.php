<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Quantity\Bytes;

/** How a device is divided, as a path keeps it: as we lay it out, as an image brings it, or with what stays on it. */
final readonly class DeviceLayout
{
    /**
     * @param  string  $scheme  gpt or mbr; "as in the image" where the image does not say
     * @param  list<DevicePart>  $partitions
     * @param  string|null  $label  of the volume that files are copied onto; null where it is written raw
     * @param  int|null  $deviceBytes  null where only its parts are known
     * @param  int|null  $outOfReachBytes  behind the last sector that the scheme can name
     * @param  int|null  $needBytes  what the files take on the volume
     * @param  int|null  $capacityBytes  what the volume can take
     * @param  int|null  $writtenBytes  of an image written raw
     */
    public function __construct(
        public string $scheme,
        public int $sectorBytes,
        public array $partitions,
        public ?string $label = null,
        public ?int $deviceBytes = null,
        public ?int $deviceSectors = null,
        public ?int $outOfReachBytes = null,
        public ?string $diskGuid = null,
        public ?int $needBytes = null,
        public ?int $capacityBytes = null,
        public ?int $writtenBytes = null,
    ) {
    }

    /** A layout of our own; for files also what they need and what the volume takes. */
    public static function of(Layout $layout, ?string $label = null, ?Bytes $need = null): self
    {
        return new self(
            $layout->scheme->value,
            $layout->sector->value,
            array_map(
                static fn (PlannedPartition $one): DevicePart => DevicePart::of($one, $layout),
                $layout->partitions,
            ),
            $label,
            $layout->device->count,
            $layout->sectors(),
            $layout->outOfReach()->count,
            $layout->diskGuid->text,
            $need?->count,
            $need === null ? null : $layout->partitions[0]->fat32?->capacity()->count,
        );
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('scheme'),
            $fields->int('sector_bytes'),
            $fields->each('partitions', DevicePart::read(...)),
            $fields->optionalString('label'),
            $fields->optionalInt('device_bytes'),
            $fields->optionalInt('device_sectors'),
            $fields->optionalInt('out_of_reach_bytes'),
            $fields->optionalString('disk_guid'),
            $fields->optionalInt('need_bytes'),
            $fields->optionalInt('capacity_bytes'),
            $fields->optionalInt('written_bytes'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this, ['partitions']);
    }
}
