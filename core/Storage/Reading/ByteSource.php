<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** Bytes that can be read anywhere without reading what lies before: a file, a device, a part of either. */
interface ByteSource
{
    /** Bytes in all. */
    public function size(): int;

    /**
     * Up to $length bytes from $at; fewer, or none, only where the source ends. Never fails for a place past the end.
     */
    public function read(int $at, int $length): string;
}
