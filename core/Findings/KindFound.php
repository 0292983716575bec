<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What a stick for any machine does on one kind of firmware (rule J1). */
final readonly class KindFound
{
    public function __construct(
        public string $title,
        public bool $starts,
        public string $words,
        public string $because,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('title'),
            $fields->bool('starts'),
            $fields->string('words'),
            $fields->string('because'),
        );
    }
}
