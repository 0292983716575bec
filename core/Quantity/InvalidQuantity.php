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

    public static function notReadable(string $what, string $text): self
    {
        $shown = mb_substr($text, 0, 40);

        return new self("\"{$shown}\" cannot be read as {$what}. Write a whole number, or a number with a unit such as \"64 GB\" or \"59.6 GiB\".");
    }

    public static function tooLarge(string $what): self
    {
        return new self("{$what} is larger than this machine can count.");
    }
}
