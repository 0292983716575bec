<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The newest image of a system that a computer's own tools still take apart rightly (rule M14). */
final readonly class NewestImage
{
    /** @param  string  $system  identifier in the catalogue */
    public function __construct(public string $system, public string $version)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('system'), $fields->string('version'));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
