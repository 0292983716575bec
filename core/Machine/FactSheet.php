<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/** All facts about one machine; a better source replaces a worse one, and nothing is replaced silently (rule A1). */
final readonly class FactSheet
{
    /**
     * @param  array<string, Fact>  $facts
     * @param  list<array{kept: Fact, set_aside: Fact}>  $contradictions
     */
    private function __construct(private array $facts, public array $contradictions)
    {
    }

    public static function empty(): self
    {
        return new self([], []);
    }

    /** The sheet with one more fact: the higher-ranked source wins, among equals the later one. */
    public function with(Fact $fact): self
    {
        $present = $this->facts[$fact->name] ?? null;
        if ($present === null || $present->source === null) {
            return new self([...$this->facts, $fact->name => $fact], $this->contradictions);
        }
        $wins = $fact->source !== null && $fact->source->rank() >= $present->source->rank();
        $kept = $wins ? $fact : $present;
        $contradictions = $this->contradictions;
        $weak = $present->source === Source::KindDefault || $fact->source === Source::KindDefault;
        if (! $weak && $fact->value !== $present->value) {
            $contradictions[] = ['kept' => $kept, 'set_aside' => $wins ? $present : $fact];
        }

        return new self([...$this->facts, $fact->name => $kept], $contradictions);
    }

    /** The fact of that name; an unknown one where nobody has looked. */
    public function get(string $name): Fact
    {
        return $this->facts[$name] ?? Fact::unknown($name);
    }

    /** @return array<string, Fact> */
    public function all(): array
    {
        return $this->facts;
    }

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        $facts = $this->facts;
        ksort($facts);

        return array_values(array_map(static fn (Fact $fact): array => $fact->toArray(), $facts));
    }
}
