<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** All facts about one machine; a better source replaces a worse one, and nothing is replaced silently (rule A1). */
final readonly class FactSheet
{
    /**
     * @param  array<string, Fact>  $facts
     * @param  list<Contradiction>  $contradictions
     */
    private function __construct(private array $facts, public array $contradictions)
    {
    }

    public static function empty(): self
    {
        return new self([], []);
    }

    /**
     * The facts of a plan as it was stored, for rules that read them later.
     *
     * @param  list<Fields>  $facts  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function read(array $facts): self
    {
        $sheet = self::empty();
        foreach (array_map(Fact::read(...), $facts) as $fact) {
            $sheet = $fact->source === null || $fact->value === null ? $sheet : $sheet->with($fact);
        }

        return $sheet;
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
        if (
            $fact->source === Source::Settled &&
            array_filter($contradictions, static fn (Contradiction $one): bool => $one->kept->name === $fact->name) !==
                []
        ) {
            $contradictions = array_map(
                static fn (Contradiction $one): Contradiction => $one->kept->name === $fact->name
                    ? $one->settled($fact)
                    : $one,
                $contradictions,
            );
        } elseif (! $weak && ! self::agree($fact, $present)) {
            $contradictions[] = new Contradiction($kept, $wins ? $present : $fact, self::settledBy($fact, $present));
        }

        return new self([...$this->facts, $fact->name => $kept], $contradictions);
    }

    /**
     * A reading in MHz or a rounded figure of another tool is the same fact said otherwise; words differ only by
     * case.
     */
    private static function agree(Fact $a, Fact $b): bool
    {
        return $a->value === $b->value ||
            (is_scalar($a->value) &&
                is_scalar($b->value) &&
                mb_strtolower(trim((string) $a->value)) === mb_strtolower(trim((string) $b->value)));
    }

    private static function settledBy(Fact $a, Fact $b): ?string
    {
        return match (true) {
            $a->source === Source::Settled || $b->source === Source::Settled => Contradiction::BY_PERSON,
            $a->source?->rank() !== $b->source?->rank() => Contradiction::BY_RULE,
            default => null,
        };
    }

    /** The fact of that name; an unknown one where nobody has looked. */
    public function get(string $name): Fact
    {
        return $this->facts[$name] ?? Fact::unknown($name);
    }

    /** @return list<Contradiction> those that wait for a person */
    public function open(): array
    {
        return array_values(
            array_filter($this->contradictions, static fn (Contradiction $one): bool => $one->isOpen()),
        );
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
