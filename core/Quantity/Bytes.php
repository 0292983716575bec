<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

use JsonSerializable;

/** An exact number of bytes, never negative (rule M1). */
final readonly class Bytes implements JsonSerializable
{
    public const KIBI = 1024;

    public const MEBI = 1_048_576;

    public const GIBI = 1_073_741_824;

    private const UNITS = [
        'b' => 1,
        'kb' => 1000,
        'mb' => 1_000_000,
        'gb' => 1_000_000_000,
        'tb' => 1_000_000_000_000,
        'kib' => self::KIBI,
        'mib' => self::MEBI,
        'gib' => self::GIBI,
        'tib' => 1_099_511_627_776,
    ];

    private function __construct(public int $count)
    {
    }

    /** @throws InvalidQuantity for a negative count */
    public static function of(int $count): self
    {
        return $count < 0 ? throw InvalidQuantity::negative('A number of bytes', $count) : new self($count);
    }

    public static function mebi(int $mebibytes): self
    {
        return self::of($mebibytes * self::MEBI);
    }

    public static function gibi(int $gibibytes): self
    {
        return self::of($gibibytes * self::GIBI);
    }

    /**
     * Reads "64 GB", "59.6 GiB", "64023257088" or a whole number.
     *
     * @throws InvalidQuantity for anything else, and for a bare rounded figure such as "238.5G"
     */
    public static function parse(string|int $text): self
    {
        if (is_int($text)) {
            return self::of($text);
        }
        if (preg_match('/^\s*(-?[0-9][0-9_ ]*)\s*$/', $text, $whole) === 1) {
            $digits = str_replace(['_', ' '], '', $whole[1]);

            return (string) (int) $digits === $digits
                ? self::of((int) $digits)
                : throw InvalidQuantity::tooLarge('This size');
        }
        if (preg_match('/^\s*([0-9]+(?:\.[0-9]+)?)\s*([kmgt]i?b|b)\s*$/i', $text, $parts) !== 1) {
            throw InvalidQuantity::notReadable('a size', $text);
        }
        $value = (float) $parts[1] * self::UNITS[strtolower($parts[2])];

        return $value < PHP_INT_MAX ? new self((int) round($value)) : throw InvalidQuantity::tooLarge('This size');
    }

    public function plus(self $other): self
    {
        return new self($this->count + $other->count);
    }

    /** @throws InvalidQuantity when the result would be negative */
    public function minus(self $other): self
    {
        return self::of($this->count - $other->count);
    }

    /** How many portions of this size hold all of it: ceil(this / portion). */
    public function portions(self $portion): int
    {
        return $portion->count === 0
            ? throw InvalidQuantity::tooSmall('A portion', 'one byte', 0)
            : intdiv($this->count + $portion->count - 1, $portion->count);
    }

    /**
     * This many bytes and a share more, rounded up. $share 0.10 is ten percent; it counts to the thousandth, in whole
     * numbers.
     */
    public function withMargin(float $share): self
    {
        return new self($this->count + intdiv($this->count * (int) round($share * 1000) + 999, 1000));
    }

    public function isMoreThan(self $other): bool
    {
        return $this->count > $other->count;
    }

    /** Whether a device of this size may carry the label: −8 % to +2 % of what is printed (rule M1). */
    public function matchesLabel(self $label): bool
    {
        return $this->count * 100 >= $label->count * 92 && $this->count * 100 <= $label->count * 102;
    }

    /** "64.0 GB": powers of 1000, as printed on a label. */
    public function decimal(): string
    {
        return self::scaled($this->count, 1000, ['B', 'kB', 'MB', 'GB', 'TB', 'PB', 'EB']);
    }

    /** "59.6 GiB": powers of 1024, as most systems count. */
    public function binary(): string
    {
        return self::scaled($this->count, 1024, ['B', 'KiB', 'MiB', 'GiB', 'TiB', 'PiB', 'EiB']);
    }

    /** "64 023 257 088 B" with a thin grouping a person can check digit by digit. */
    public function exact(): string
    {
        return number_format($this->count, 0, '.', ' ').' B';
    }

    public function jsonSerialize(): int
    {
        return $this->count;
    }

    /** @param  list<string>  $units */
    private static function scaled(int $count, int $base, array $units): string
    {
        $value = (float) $count;
        $unit = 0;
        while (round($value, 1) >= $base && $unit < count($units) - 1) {
            $value /= $base;
            $unit++;
        }

        return $unit === 0 ? "{$count} B" : number_format($value, 1, '.', '').' '.$units[$unit];
    }
}
