<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** A part of another source, counted from zero: a partition, an image inside an image. */
final readonly class WindowSource implements ByteSource
{
    private int $start;

    private int $size;

    /** What lies outside the other source is cut off, so that a table that lies cannot lead there. */
    public function __construct(private ByteSource $inner, int $start, int $size)
    {
        $this->start = max(0, min($start, $inner->size()));
        $this->size = max(0, min($size, $inner->size() - $this->start));
    }

    public function size(): int
    {
        return $this->size;
    }

    public function read(int $at, int $length): string
    {
        return $at < 0 || $at >= $this->size || $length <= 0
            ? ''
            : $this->inner->read($this->start + $at, min($length, $this->size - $at));
    }
}
