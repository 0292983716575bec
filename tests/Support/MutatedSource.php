<?php

namespace Tests\Support;

use Cobblestone\Storage\Reading\ByteSource;

/** A source with some bytes replaced and its end moved, without a copy of the rest. */
final class MutatedSource implements ByteSource
{
    public int $bytesRead = 0;

    /** @param  array<int, string>  $patches  offset => bytes */
    public function __construct(
        private readonly string $bytes,
        private readonly array $patches,
        private readonly int $size,
    ) {
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
        $this->bytesRead += $length;
        $piece = str_pad(substr($this->bytes, $at, $length), $length, "\0");
        foreach ($this->patches as $place => $bytes) {
            $from = max($place, $at);
            $to = min($place + strlen($bytes), $at + $length);
            if ($from < $to) {
                $piece = substr_replace(
                    $piece,
                    substr($bytes, $from - $place, $to - $from),
                    $from - $at,
                    $to - $from,
                );
            }
        }

        return $piece;
    }
}
