<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** One partition that a system makes on its drive. */
final readonly class SystemPartition
{
    public const FILE_SYSTEMS = ['fat32', 'ntfs', 'ext4', 'exfat', 'read-only', 'none'];

    /**
     * @param  int|null  $mebibytes  null: what is left
     * @param  int|null  $keptMebibytes  the least of one that stays and is shared; null: as much as of a new one
     */
    public function __construct(
        public string $name,
        public string $role,
        public string $type,
        public string $fileSystem,
        public ?int $mebibytes = null,
        public ?int $keptMebibytes = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->oneOf('role', ['efi', 'reserved', 'system', 'recovery', 'data']),
            $fields->oneOf('type', ['efi-system', 'basic-data', 'reserved', 'recovery', 'linux-filesystem']),
            $fields->oneOf('file_system', self::FILE_SYSTEMS),
            $fields->optionalInt('mebibytes'),
            $fields->optionalInt('kept_mebibytes'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
