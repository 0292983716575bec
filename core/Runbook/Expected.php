<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What a piece of evidence should say, how far it may be off, and where that is known from (rule K3). */
final readonly class Expected
{
    public const PLAN = 'plan';

    public const EARLIER = 'earlier evidence';

    public const READING = 'reading';

    public const CATALOGUE = 'catalogue';

    /**
     * @param  string  $value  as it would be written down; empty where it comes from other evidence
     * @param  float  $tolerance  share of the value that a number may be off, 0 for exact
     * @param  string  $source  one of the constants above
     * @param  string  $from  "step:evidence" whose observed value is expected; empty where it is known already
     * @param  bool  $hidden  whether no page may show the value
     * @param  bool  $atLeast  whether more is as good as equal
     * @param  array<string, int>  $others  other things it could be mistaken for, with their bytes
     */
    public function __construct(
        public string $value,
        public float $tolerance = 0.0,
        public string $source = self::PLAN,
        public string $from = '',
        public bool $hidden = false,
        public bool $atLeast = false,
        public array $others = [],
    ) {
    }

    /** What was written down at another stone, or before at the same one. */
    public static function asIn(string $step, string $evidence, float $tolerance = 0.0): self
    {
        return new self('', $tolerance, self::EARLIER, "{$step}:{$evidence}");
    }

    /**
     * The same with the value filled in from what was written down before.
     *
     * @param  array<string, array<string, string>>  $earlier  step => evidence => value
     */
    public function resolved(array $earlier): ?self
    {
        if ($this->from === '') {
            return $this;
        }
        [$step, $evidence] = explode(':', $this->from, 2);
        $value = $earlier[$step][$evidence] ?? null;

        return $value === null
            ? null
            : new self($value, $this->tolerance, $this->source, '', $this->hidden, $this->atLeast, $this->others);
    }

    /** The same with one more answer that is as good, where it is a choice. */
    public function or(string $value): self
    {
        return new self(
            "{$this->value}|{$value}",
            $this->tolerance,
            $this->source,
            $this->from,
            $this->hidden,
            $this->atLeast,
            $this->others,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'value' => $this->value,
            'tolerance' => $this->tolerance,
            'source' => $this->source,
            'from' => $this->from,
            'hidden' => $this->hidden,
            'at_least' => $this->atLeast,
            'others' => (object) $this->others,
        ];
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('value'),
            (float) $fields->number('tolerance'),
            $fields->string('source'),
            $fields->string('from'),
            $fields->bool('hidden'),
            $fields->bool('at_least'),
            array_map(intval(...), $fields->scalars('others')),
        );
    }
}
