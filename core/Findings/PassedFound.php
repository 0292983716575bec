<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** A line of the firmware's list that was tried and left. */
final readonly class PassedFound
{
    public function __construct(
        public string $title,
        public string $words,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('title'),
            $fields->string('words'),
        );
    }
}
