<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Machine\FactSheet;

/** One condition of the catalogue over the facts of a job: holds, fails, or cannot be told yet. */
final readonly class Condition
{
    /**
     * @param  list<bool|int|float|string>  $values
     * @param  string  $else  why it is out where the condition fails, in words
     */
    private function __construct(public string $fact, public string $test, public array $values, public string $else)
    {
    }

    /** @param  array<string, mixed>  $entry  fact, one of is, not, in, at_least, below or known, and "else" */
    public static function fromArray(array $entry): self
    {
        foreach (['is', 'not', 'in', 'at_least', 'below', 'known'] as $test) {
            if (array_key_exists($test, $entry)) {
                return new self($entry['fact'], $test, is_array($entry[$test]) ? array_values($entry[$test]) : [$entry[$test]], $entry['else'] ?? '');
            }
        }

        return new self($entry['fact'], 'known', [true], $entry['else'] ?? '');
    }

    /** true, false, or null while the fact is unknown. */
    public function holds(FactSheet $facts): ?bool
    {
        $fact = $facts->get($this->fact);
        if ($this->test === 'known') {
            return $fact->isUnknown() !== (bool) $this->values[0];
        }
        if ($fact->isUnknown()) {
            return null;
        }
        $given = is_array($fact->value) ? array_map(self::plain(...), $fact->value) : [self::plain($fact->value)];
        $wanted = array_map(self::plain(...), $this->values);

        return match ($this->test) {
            'is', 'in' => array_intersect($given, $wanted) !== [],
            'not' => array_intersect($given, $wanted) === [],
            'at_least' => version_compare($given[0], $wanted[0], '>='),
            'below' => version_compare($given[0], $wanted[0], '<'),
            default => null,
        };
    }

    private static function plain(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_scalar($value) => mb_strtolower(trim((string) $value)),
            default => '',
        };
    }
}
