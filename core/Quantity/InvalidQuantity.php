<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

use InvalidArgumentException;

/** A number that cannot be a quantity of its kind. */
final class InvalidQuantity extends InvalidArgumentException
{
    public static function negative(string $what, int|float $value): self
    {
        return new self("{$what} cannot be negative, got {$value}.");
    }

    public static function tooSmall(string $what, string $least, int $value): self
    {
        return new self("{$what} must be at least {$least}, got {$value}.");
    }

    public static function notReadable(string $what, string $text): self
    {
        $shown = mb_substr($text, 0, 40);

        return new self(
            "\"{$shown}\" cannot be read as {$what}. Write a whole number, or a number with a unit such as \"64 "
                .'GB" or "59.6 GiB".',
        );
    }

    public static function tooLarge(string $what): self
    {
        return new self("{$what} is larger than this machine can count.");
    }

    public static function notAMoment(string $text): self
    {
        return new self(
            '"'.
                mb_substr($text, 0, 40).
                '" is not a date. Write year, month and day, such as 2026-11-24 or 2026-11-24T15:40.',
        );
    }
}
