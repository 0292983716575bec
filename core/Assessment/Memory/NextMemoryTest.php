<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** The test that settles most per minute (rule A4). */
final readonly class NextMemoryTest
{
    /** @param  array<string, string>  $placed */
    public function __construct(
        public array $placed,
        public int $passes,
        public float $minutes,
        public string $sentence,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->words('placed'),
            $fields->int('passes'),
            (float) $fields->number('minutes'),
            $fields->string('sentence'),
        );
    }

    /** @return array{placed: array<string, string>, passes: int, minutes: float, sentence: string} */
    public function toArray(): array
    {
        return [
            'placed' => $this->placed,
            'passes' => $this->passes,
            'minutes' => $this->minutes,
            'sentence' => $this->sentence,
        ];
    }
}
