<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A file that a stick has to carry, and where on it. */
final readonly class WantedFile
{
    /**
     * @param  string  $file  its name as the maker gives it out
     * @param  string  $path  on the stick
     * @param  string|null  $sha256  the maker's; null where none is known
     */
    public function __construct(public string $file, public string $path, public ?string $sha256 = null)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('file'), $fields->string('path'), $fields->optionalString('sha256'));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
