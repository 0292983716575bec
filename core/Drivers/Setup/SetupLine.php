<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Setup;

/** One line of a section: "key = value, value", or values alone. */
final readonly class SetupLine
{
    /** @param  list<string>  $values */
    private function __construct(public int $number, public ?string $key, public array $values)
    {
    }

    /** @param  callable(string): string  $worded  what a value says once its marks are replaced */
    public static function of(int $number, string $text, callable $worded): self
    {
        preg_match('/^((?:[^"=]++|"(?:[^"]++|"")*+(?:"|$))*+)(=?)(.*)$/s', $text, $part);
        [, $left, $sign, $right] = $part + ['', '', '', ''];

        return $sign === ''
            ? new self($number, null, self::values($left, $worded))
            : new self($number, $worded(self::plain(trim($left))), self::values($right, $worded));
    }

    public function value(int $place): string
    {
        return $this->values[$place] ?? '';
    }

    /**
     * @param  callable(string): string  $worded
     * @return list<string>
     */
    private static function values(string $text, callable $worded): array
    {
        preg_match_all('/((?:[^",]++|"(?:[^"]++|"")*+(?:"|$))*+)(?:,|$)/', trim($text), $parts);
        // The empty match behind the last value is none; a comma at the end leaves an empty value, which is one.
        $values = $parts[1];
        if (count($values) > 1 && end($values) === '' && ! str_ends_with(trim($text), ',')) {
            array_pop($values);
        }

        return array_map(static fn (string $value): string => $worded(self::plain(trim($value))), $values);
    }

    /** Without quotation marks; two of them inside stand for one. */
    private static function plain(string $value): string
    {
        if (! str_contains($value, '"')) {
            return $value;
        }

        return (string) preg_replace_callback(
            '/"((?:[^"]++|"")*+)(?:"|$)/',
            static fn (array $part): string => str_replace('""', '"', $part[1]),
            $value,
        );
    }
}
