<?php

declare(strict_types=1);

namespace App\Devices\Packages;

/** Something on the shelf that could not be read, and why. */
final readonly class Unreadable
{
    public function __construct(public string $source, public string $why)
    {
    }
}
