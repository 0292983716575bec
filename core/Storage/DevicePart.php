<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** One part of a device, as a path keeps it. */
final readonly class DevicePart
{
    /**
     * @param  string  $role  what it is for; empty where nobody knows
     * @param  int|null  $firstSector  null where it stands nowhere in particular
     * @param  bool  $stays  whether it is to stay on a drive that is otherwise laid out anew
     * @param  string|null  $type  by its name here
     * @param  string|null  $typeCode  as the table holds it: a GUID, or 0x and two digits
     */
    public function __construct(
        public string $name,
        public string $role,
        public ?int $firstSector,
        public ?int $sectors,
        public int $bytes,
        public ?string $fileSystem,
        public bool $stays = false,
        public bool $encrypted = false,
        public ?int $number = null,
        public ?string $type = null,
        public ?string $typeCode = null,
        public bool $active = false,
        public ?Fat32Geometry $fat32 = null,
    ) {
    }

    /** One of a layout of our own. */
    public static function of(PlannedPartition $one, Layout $layout): self
    {
        return new self(
            $one->name,
            $one->role,
            $one->extent->first,
            $one->extent->count,
            $layout->sector->bytes($one->extent->count)->count,
            $one->fileSystem,
            number: $one->number,
            type: $one->type->value,
            typeCode: $layout->scheme->code($one),
            active: $one->active,
            fat32: $one->fat32,
        );
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->optionalString('role') ?? '',
            $fields->optionalInt('first_sector'),
            $fields->optionalInt('sectors'),
            $fields->int('bytes'),
            $fields->optionalString('file_system'),
            $fields->optionalBool('stays') ?? false,
            $fields->optionalBool('encrypted') ?? false,
            $fields->optionalInt('number'),
            $fields->optionalString('type'),
            $fields->optionalString('type_code'),
            $fields->optionalBool('active') ?? false,
            $fields->optional('fat32', Fat32Geometry::read(...)),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
