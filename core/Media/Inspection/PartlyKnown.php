<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Storage\Reading\ByteSource;

/**
 * The start of a compressed image as the whole: its size is known, what lies past the start is not and reads as
 * nothing.
 */
final readonly class PartlyKnown implements ByteSource
{
    public function __construct(private ByteSource $head, private int $size)
    {
    }

    public function size(): int
    {
        return $this->size;
    }

    public function read(int $at, int $length): string
    {
        return $this->head->read($at, $length);
    }
}
