<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** One partition of the table that an image brings. */
final readonly class ImagePartition
{
    public function __construct(
        public string $name,
        public string $role,
        public string $type,
        public int $firstSector,
        public int $sectors,
        public ?string $fileSystem = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->string('role'),
            $fields->oneOf('type', ['efi-system', 'basic-data', 'reserved', 'recovery', 'linux-filesystem']),
            $fields->int('first_sector'),
            $fields->int('sectors'),
            $fields->optionalOneOf('file_system', SystemPartition::FILE_SYSTEMS),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
