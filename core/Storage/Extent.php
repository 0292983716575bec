<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use InvalidArgumentException;

/** A run of sectors: the first one and how many. */
final readonly class Extent
{
    public function __construct(public int $first, public int $count)
    {
        if ($first < 0 || $count < 1) {
            throw new InvalidArgumentException(
                "A run of sectors starts at 0 or later and has at least one sector; got {$first} and {$count}.",
            );
        }
    }

    public function last(): int
    {
        return $this->first + $this->count - 1;
    }

    public function overlaps(self $other): bool
    {
        return $this->first <= $other->last() && $other->first <= $this->last();
    }
}
