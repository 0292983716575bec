<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Where the owner's files are copied to (rule A6). */
final readonly class BackupDestination
{
    private const FILE_SYSTEMS = ['fat32', 'exfat', 'ntfs', 'ext4', 'other'];

    /**
     * @param  int|string|null  $freeBytes  a number, or a number with its unit
     * @param  string|null  $fileSystem  as somebody said, or as it was read
     * @param  string|null  $wasSaid  what somebody had said where the reading shows another
     */
    public function __construct(
        public string $name,
        public ?string $serial = null,
        public int|string|null $freeBytes = null,
        public int|float|null $mbS = null,
        public ?string $fileSystem = null,
        public ?string $wasSaid = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->optionalString('serial'),
            self::size($fields, 'free_bytes'),
            $fields->optionalNumber('mb_s'),
            $fields->optionalOneOf('file_system', self::FILE_SYSTEMS),
            $fields->optionalString('was_said'),
        );
    }

    /** The same with its file system as it was read. */
    public function asRead(string $fileSystem): self
    {
        return new self($this->name, $this->serial, $this->freeBytes, $this->mbS, $fileSystem, $this->fileSystem);
    }

    private static function size(Fields $fields, string $name): int|string|null
    {
        $value = $fields->raw($name);

        return is_string($value) ? $value : $fields->optionalInt($name);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
