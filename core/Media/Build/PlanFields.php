<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** Fields of a plan document, each read once and refused by name. A plan may come from anywhere. */
final class PlanFields
{
    /** @param  array<string, mixed>  $data */
    public static function whole(array $data, string $where): int
    {
        $value = $data[self::key($where)] ?? null;

        return is_int($value) && $value >= 0 && $value < 1 << 50
            ? $value
            : throw PlanFault::at($where, 'a whole number is needed.');
    }

    /** @param  array<string, mixed>  $data */
    public static function maybeWhole(array $data, string $where): ?int
    {
        return ($data[self::key($where)] ?? null) === null ? null : self::whole($data, $where);
    }

    /** @param  array<string, mixed>  $data */
    public static function text(array $data, string $where, int $longest = 500): string
    {
        $value = $data[self::key($where)] ?? null;

        return is_string($value) && mb_strlen($value) <= $longest && preg_match('/[\x00-\x1F\x7F]/', $value) === 0
            ? $value
            : throw PlanFault::at($where, 'a line of text is needed.');
    }

    /**
     * A file's name, never a path.
     *
     * @param  array<string, mixed>  $data
     */
    public static function name(array $data, string $where): string
    {
        $name = self::text($data, $where, 255);

        return $name !== '' && ! str_contains($name, '/') && $name !== '.' && $name !== '..'
            ? $name
            : throw PlanFault::at($where, 'a file\'s name without folders is needed.');
    }

    /**
     * A path below the stick's root.
     *
     * @param  array<string, mixed>  $data
     */
    public static function path(array $data, string $where): string
    {
        $path = self::text($data, $where, 1000);
        foreach (explode('/', $path) as $part) {
            if (in_array($part, ['', '.', '..'], true)) {
                throw PlanFault::at($where, "\"{$path}\" is no path below the top of a stick.");
            }
        }

        return $path;
    }

    /** @param  array<string, mixed>  $data */
    public static function maybeHash(array $data, string $where): ?string
    {
        $value = $data[self::key($where)] ?? null;

        return $value === null || (is_string($value) && preg_match('/^[0-9a-f]{64}$/', $value) === 1)
            ? $value
            : throw PlanFault::at($where, 'a SHA-256 in 64 lower-case hexadecimal digits is needed.');
    }

    /**
     * @param  array<string, mixed>  $data
     * @param  list<string>  $options
     */
    public static function oneOf(array $data, string $where, array $options, bool $orNone = false): ?string
    {
        $value = $data[self::key($where)] ?? null;
        if ($value === null && $orNone) {
            return null;
        }

        return is_string($value) && in_array($value, $options, true)
            ? $value
            : throw PlanFault::at($where, 'one of '.implode(', ', $options).' is needed.');
    }

    /**
     * @param  array<string, mixed>  $data
     * @return list<array<string, mixed>>
     */
    public static function rows(array $data, string $where): array
    {
        $value = $data[self::key($where)] ?? null;
        if (
            ! is_array($value) ||
            ! array_is_list($value) ||
            array_filter($value, static fn (mixed $row): bool => ! is_array($row)) !== []
        ) {
            throw PlanFault::at($where, 'a list is needed.');
        }

        return $value;
    }

    /**
     * @param  array<string, mixed>  $data
     * @param  string  $reason  what is said where there is none
     * @return array<string, mixed>
     */
    public static function block(array $data, string $where, string $reason): array
    {
        $value = $data[self::key($where)] ?? null;
        $block = [];
        foreach (is_array($value) ? $value : throw PlanFault::at($where, $reason) as $name => $held) {
            $block[(string) $name] = $held;
        }

        return $block;
    }

    private static function key(string $where): string
    {
        $dot = strrpos($where, '.');

        return $dot === false ? $where : substr($where, $dot + 1);
    }
}
