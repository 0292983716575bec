<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What a brief says of the owner's files: what is kept, how much, where to (rule A6). */
final readonly class BackupBlock
{
    /**
     * @param  list<string>  $folders
     * @param  list<string>  $seenFolders  of the owner, chosen or not
     * @param  list<string>  $excluded  what is left out on purpose
     */
    public function __construct(
        public ?string $keep = null,
        public array $folders = [],
        public int|string|null $bytes = null,
        public ?int $files = null,
        public int|float|null $sourceMbS = null,
        public ?BackupDestination $destination = null,
        public array $seenFolders = [],
        public array $excluded = [],
        public int|string|null $largestBytes = null,
        public ?ExistingBackup $existing = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalOneOf('keep', ['some', 'nothing']),
            $fields->strings('folders'),
            self::size($fields, 'bytes'),
            $fields->optionalInt('files'),
            $fields->optionalNumber('source_mb_s'),
            $fields->optional('destination', BackupDestination::read(...)),
            $fields->strings('seen_folders'),
            $fields->strings('excluded'),
            self::size($fields, 'largest_bytes'),
            $fields->optional('existing', ExistingBackup::read(...)),
        );
    }

    public function isEmpty(): bool
    {
        return $this->toArray() === [];
    }

    public function withDestination(BackupDestination $destination): self
    {
        return new self(
            $this->keep,
            $this->folders,
            $this->bytes,
            $this->files,
            $this->sourceMbS,
            $destination,
            $this->seenFolders,
            $this->excluded,
            $this->largestBytes,
            $this->existing,
        );
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
