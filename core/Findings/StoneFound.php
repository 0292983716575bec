<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** One stone of a power-on: what had to hold, and whether it did. */
final readonly class StoneFound
{
    public function __construct(
        public string $name,
        public bool $holds,
        public string $words,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->bool('holds'),
            $fields->string('words'),
        );
    }
}
