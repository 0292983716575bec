<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use RuntimeException;

/** The files inside an image could not be listed; says why. */
final class ListingFailed extends RuntimeException
{
    public static function tooLong(int $seconds): self
    {
        return new self("listing what is inside took more than {$seconds} s");
    }

    public static function tooMuchMemory(int $bytes): self
    {
        return new self('listing what is inside took more than '.intdiv($bytes, 1_048_576).' MiB of memory');
    }

    public static function tooManyPrinted(): self
    {
        return new self('the list of what is inside has no end');
    }
}
