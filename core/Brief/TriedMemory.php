<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** One memory test as the brief tells of it (rule A4). */
final readonly class TriedMemory
{
    /**
     * @param  array<string, string>  $placed  module => slot
     */
    public function __construct(
        public array $placed,
        public string $profile,
        public int $passes,
        public string $outcome,
        public ?string $at = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a test of the brief's memory block
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('placed');

        return new self(
            $fields->words('placed'),
            $fields->oneOf('profile', ['standard', 'faster']),
            $fields->int('passes'),
            $fields->oneOf('outcome', ['clean', 'errors', 'no-start']),
            $fields->optionalString('at'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
