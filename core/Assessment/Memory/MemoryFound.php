<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What a memory sheet says, and the next test it wants, as its path keeps it (rule A4). */
final readonly class MemoryFound
{
    /**
     * @param  string  $fact  untested, unstable-profile, trusted or bad
     * @param  float  $confidence  from 0 to 1
     * @param  list<Suspect>  $suspects  likeliest first
     * @param  NextMemoryTest|null  $next  null once it is settled
     */
    public function __construct(
        public string $fact,
        public string $sentence,
        public bool $settled,
        public bool $trusted,
        public float $confidence,
        public array $suspects,
        public ?NextMemoryTest $next,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('fact'),
            $fields->string('sentence'),
            $fields->bool('settled'),
            $fields->bool('trusted'),
            (float) $fields->number('confidence'),
            $fields->each('suspects', Suspect::read(...)),
            $fields->optional('next', NextMemoryTest::read(...)),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'fact' => $this->fact,
            'sentence' => $this->sentence,
            'settled' => $this->settled,
            'trusted' => $this->trusted,
            'confidence' => $this->confidence,
            'suspects' => array_map(static fn (Suspect $one): array => $one->toArray(), $this->suspects),
            'next' => $this->next?->toArray(),
        ];
    }
}
