<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** Bytes held in memory, optionally followed by zeros up to a larger size. */
final readonly class StringSource implements ByteSource
{
    private int $size;

    public function __construct(private string $bytes, ?int $size = null)
    {
        $this->size = max(strlen($bytes), $size ?? 0);
    }

    public function size(): int
    {
        return $this->size;
    }

    public function read(int $at, int $length): string
    {
        $length = min($length, $this->size - $at);
        if ($at < 0 || $length <= 0) {
            return '';
        }

        return str_pad(substr($this->bytes, $at, $length), $length, "\0");
    }
}
