<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The screen that a model is built with. */
final readonly class Screen
{
    /**
     * @param  int|float  $inches  from corner to corner
     * @param  int  $width  pixels, the longer side
     * @param  int  $height  pixels
     */
    public function __construct(public int|float $inches, public int $width, public int $height)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->number('inches'), $fields->int('width'), $fields->int('height'));
    }

    /** Pixels an inch. */
    public function density(): float
    {
        return sqrt($this->width ** 2 + $this->height ** 2) / $this->inches;
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
