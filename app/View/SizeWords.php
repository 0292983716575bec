<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Quantity\Bytes;

/** A size as pages show it: decimal, with the exact bytes behind it. */
final class SizeWords
{
    public static function short(int $bytes): string
    {
        return Bytes::of($bytes)->decimal();
    }

    public static function exact(int $bytes): string
    {
        return Bytes::of($bytes)->exact();
    }
}
