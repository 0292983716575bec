<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Quantity\Bytes;

/** The logical sector a device answers in. */
enum SectorSize: int
{
    case B512 = 512;
    case B4096 = 4096;

    /** Whole sectors in so many bytes; the rest is not addressable. */
    public function sectorsIn(Bytes $bytes): int
    {
        return intdiv($bytes->count, $this->value);
    }

    /** Sectors in one MiB: the unit partitions start and end on (rule M6). */
    public function perMebi(): int
    {
        return intdiv(Bytes::MEBI, $this->value);
    }

    public function bytes(int $sectors): Bytes
    {
        return Bytes::of($sectors * $this->value);
    }
}
