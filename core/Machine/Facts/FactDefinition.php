<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** What one fact is: how it is taken, whose it is, how it is said, and whether a model may learn it (rule A1). */
final readonly class FactDefinition
{
    /**
     * @param  list<string>  $values  what it can be in a start, best first; empty where any text is taken
     * @param  array<string, string>  $answers  the only words it may be given, and how each is said; empty: any
     * @param  string  $spoken  as a person says it; empty: its name without dots
     * @param  string|null  $learned  the field of a model's entry that keeps it, where it may be learned
     */
    public function __construct(
        public string $name,
        public FactType $type,
        public FactOwner $owner,
        public array $values = [],
        public array $answers = [],
        private string $spoken = '',
        public ?string $learned = null,
    ) {
    }

    public function isFirmware(): bool
    {
        return str_starts_with($this->name, FactRegistry::FIRMWARE);
    }

    public function spoken(): string
    {
        return $this->spoken === '' ? FactRegistry::plain($this->name) : $this->spoken;
    }

    /** Whether that word may be its value; what nobody knows may always be said. */
    public function takes(string $word): bool
    {
        return $this->answers === [] || isset($this->answers[$word]) || $word === 'unknown';
    }
}
