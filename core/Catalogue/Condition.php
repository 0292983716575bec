<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Machine\FactSheet;

/** One condition of the catalogue over the facts of a job: holds, fails, or cannot be told yet. */
final readonly class Condition
{
    private const TESTS = ['is', 'not', 'in', 'at_least', 'below', 'known'];

    /** @var list<string> the values as they are compared: a route asks the same conditions hundreds of times */
    private array $wanted;

    /**
     * @param  list<bool|int|float|string>  $values
     * @param  string  $else  why it is out where the condition fails, in words
     */
    private function __construct(
        public string $fact,
        public string $test,
        public array $values,
        public string $else,
    ) {
        $this->wanted = array_map(self::plain(...), $values);
    }

    /**
     * @param  array<array-key, mixed>  $document
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
        foreach (self::TESTS as $test) {
            if ($fields->has($test)) {
                $values = $test === 'in' ? array_values($fields->scalars($test)) : [$fields->scalar($test)];

                return new self($fields->string('fact'), $test, $values, $fields->optionalString('else') ?? '');
            }
        }

        return new self($fields->string('fact'), 'known', [true], $fields->optionalString('else') ?? '');
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        $else = $this->else === '' ? [] : ['else' => $this->else];

        return [
            'fact' => $this->fact,
            $this->test => $this->test === 'in' ? $this->values : $this->values[0],
            ...$else,
        ];
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
        $wanted = $this->wanted;

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
