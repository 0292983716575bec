<?php

declare(strict_types=1);

namespace Cobblestone\Document;

use BackedEnum;
use stdClass;

/** The fields of a document as values with types; whatever does not fit is named by its path. */
final readonly class Fields
{
    use Lists;

    /** @param  array<array-key, mixed>  $values */
    private function __construct(private array $values, private string $at)
    {
    }

    /**
     * @param  mixed  $document  what a parser gave
     * @param  string  $at  where it stands, such as "firmware.settings.2"
     *
     * @throws FieldFault where it is no map
     */
    public static function of(mixed $document, string $at = ''): self
    {
        $document = $document instanceof stdClass ? (array) $document : $document;

        return is_array($document)
            ? new self($document, $at)
            : throw FieldFault::at($at, 'a block of fields is wanted.');
    }

    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    /** @throws FieldFault */
    public function string(string $name): string
    {
        return $this->optionalString($name) ?? throw $this->missing($name, 'a text is wanted.');
    }

    /** @throws FieldFault */
    public function optionalString(string $name): ?string
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_string($value) ? $value : throw $this->missing($name, 'a text is wanted.');
    }

    /** @throws FieldFault */
    public function int(string $name): int
    {
        return $this->optionalInt($name) ?? throw $this->missing($name, 'a whole number is wanted.');
    }

    /** @throws FieldFault */
    public function optionalInt(string $name): ?int
    {
        $value = $this->values[$name] ?? null;
        if (is_float($value) && $value === floor($value) && abs($value) < PHP_INT_MAX) {
            return (int) $value;
        }

        return $value === null || is_int($value) ? $value : throw $this->missing($name, 'a whole number is wanted.');
    }

    /** @throws FieldFault */
    public function number(string $name): int|float
    {
        return $this->optionalNumber($name) ?? throw $this->missing($name, 'a number is wanted.');
    }

    /** @throws FieldFault */
    public function optionalNumber(string $name): int|float|null
    {
        $value = $this->values[$name] ?? null;

        return match (true) {
            $value === null, is_int($value), is_float($value) => $value,
            default => throw $this->missing($name, 'a number is wanted.'),
        };
    }

    /** @throws FieldFault */
    public function bool(string $name): bool
    {
        return $this->optionalBool($name) ?? throw $this->missing($name, 'yes or no is wanted.');
    }

    /** @throws FieldFault */
    public function optionalBool(string $name): ?bool
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_bool($value) ? $value : throw $this->missing($name, 'yes or no is wanted.');
    }

    /** @throws FieldFault */
    public function scalar(string $name): bool|int|float|string
    {
        return $this->optionalScalar($name) ?? throw $this->missing($name, 'a single value is wanted.');
    }

    /** @throws FieldFault */
    public function optionalScalar(string $name): bool|int|float|string|null
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_scalar($value)
            ? $value
            : throw $this->missing($name, 'a single value is wanted.');
    }

    /**
     * @param  list<string>  $allowed
     *
     * @throws FieldFault
     */
    public function oneOf(string $name, array $allowed): string
    {
        return $this->optionalOneOf($name, $allowed) ?? throw $this->missing($name, self::choose($allowed));
    }

    /**
     * @param  list<string>  $allowed
     *
     * @throws FieldFault
     */
    public function optionalOneOf(string $name, array $allowed): ?string
    {
        $value = $this->values[$name] ?? null;
        if ($value === null || (is_string($value) && in_array($value, $allowed, true))) {
            return $value;
        }
        throw $this->missing($name, self::choose($allowed));
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws FieldFault
     */
    public function enum(string $name, string $enum): BackedEnum
    {
        return $this->optionalEnum($name, $enum) ??
            throw $this->missing($name, self::choose(array_map(self::caseValue(...), $enum::cases())));
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     *
     * @throws FieldFault
     */
    public function optionalEnum(string $name, string $enum): ?BackedEnum
    {
        $value = $this->values[$name] ?? null;
        if ($value === null) {
            return null;
        }

        return (is_string($value) ? $enum::tryFrom($value) : null) ??
            throw $this->missing($name, self::choose(array_map(self::caseValue(...), $enum::cases())));
    }

    /** @throws FieldFault */
    public function block(string $name): self
    {
        return self::of(
            $this->values[$name] ?? throw $this->missing($name, 'a block of fields is wanted.'),
            $this->path($name),
        );
    }

    /** @throws FieldFault */
    public function optionalBlock(string $name): ?self
    {
        return $this->has($name) ? $this->block($name) : null;
    }

    /**
     * One block as a value of its type; null where the field is not there.
     *
     * @template T
     *
     * @param  callable(self): T  $read
     * @return T|null
     *
     * @throws FieldFault
     */
    public function optional(string $name, callable $read): mixed
    {
        return $this->has($name) ? $read($this->block($name)) : null;
    }

    /** @throws FieldFault where a list that is wanted is missing */
    public function wants(string ...$names): self
    {
        foreach ($names as $name) {
            $this->has($name) || throw $this->missing($name, 'it is wanted.');
        }

        return $this;
    }

    /** What stands there, whatever it is. */
    public function raw(string $name): mixed
    {
        return $this->values[$name] ?? null;
    }

    /** @return array<array-key, mixed> */
    public function all(): array
    {
        return $this->values;
    }

    /** Where a field of this block stands in the whole document. */
    public function path(string $name): string
    {
        return $this->at === '' ? $name : "{$this->at}.{$name}";
    }

    private function missing(string $name, string $reason): FieldFault
    {
        return FieldFault::at($this->path($name), $reason);
    }

    /** @param  array<string>  $allowed */
    private static function choose(array $allowed): string
    {
        return 'choose one of '.implode(', ', $allowed).'.';
    }

    private static function caseValue(BackedEnum $case): string
    {
        return (string) $case->value;
    }
}
