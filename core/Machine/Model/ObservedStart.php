<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A start that a model was seen to make otherwise than its parts say (rule B). */
final readonly class ObservedStart
{
    public function __construct(
        public string $wants,
        public string $predicted,
        public string $seen,
        public int $times,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('wants'),
            $fields->string('predicted'),
            $fields->string('seen'),
            $fields->int('times'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
