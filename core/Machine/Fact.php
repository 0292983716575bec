<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** One thing held to be so about a machine, with where it comes from and since when (rule A1). */
final readonly class Fact
{
    /** @param  bool|int|float|string|list<string>|null  $value null only while unknown */
    private function __construct(
        public string $name,
        public bool|int|float|string|array|null $value,
        public Certainty $certainty,
        public ?Source $source,
        public string $origin,
        public ?string $at,
    ) {
    }

    /**
     * @param  bool|int|float|string|list<string>  $value
     * @param  string  $origin  the file, tool or person, in words
     * @param  string|null  $at  when, as given by the caller
     */
    public static function of(
        string $name,
        bool|int|float|string|array $value,
        Source $source,
        string $origin,
        ?string $at = null,
    ): self {
        return new self($name, $value, $source->certainty(), $source, $origin, $at);
    }

    public static function unknown(string $name): self
    {
        return new self($name, null, Certainty::Unknown, null, 'nobody has looked yet', null);
    }

    public function isKnown(): bool
    {
        return $this->certainty === Certainty::Known;
    }

    public function isUnknown(): bool
    {
        return $this->certainty === Certainty::Unknown;
    }

    public function is(bool|int|float|string $value): bool
    {
        return $this->value === $value;
    }

    /** The value as a text; empty while unknown, and for a list its texts in a row. */
    public function text(): string
    {
        return match (true) {
            is_array($this->value) => implode(', ', $this->value),
            is_bool($this->value) => $this->value ? 'yes' : 'no',
            default => (string) $this->value,
        };
    }

    /** "both", "on", "unknown": the value as a person says it. */
    public function spoken(): string
    {
        return match (true) {
            $this->value === null => 'unknown',
            is_bool($this->value) => $this->value ? 'yes' : 'no',
            is_array($this->value) => implode(', ', $this->value),
            default => (string) $this->value,
        };
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->told('value'),
            $fields->enum('certainty', Certainty::class),
            $fields->optionalEnum('source', Source::class),
            $fields->string('origin'),
            $fields->optionalString('at'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'value' => $this->value,
            'certainty' => $this->certainty->value,
            'source' => $this->source?->value,
            'origin' => $this->origin,
            'at' => $this->at,
        ];
    }
}
