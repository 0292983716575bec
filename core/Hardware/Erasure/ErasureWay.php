<?php

declare(strict_types=1);

namespace Cobblestone\Hardware\Erasure;

/** How a drive is erased; deleting its partitions is none of them (rule L5). */
enum ErasureWay: string
{
    case Sanitize = 'sanitize';
    case Crypto = 'crypto';
    case Overwrite = 'overwrite';
    case Destroyed = 'destroyed';

    public function title(): string
    {
        return match ($this) {
            self::Sanitize => 'by its own sanitize command',
            self::Crypto => 'by throwing its own key away',
            self::Overwrite => 'by one overwrite from the first byte to the last',
            self::Destroyed => 'by destroying it',
        };
    }

    /** What the certificate says was done. */
    public function done(): string
    {
        return match ($this) {
            self::Sanitize => 'The drive ran its own sanitize command to its end',
            self::Crypto => 'The drive made a new key and threw the old one away',
            self::Overwrite => 'Every byte of the drive was overwritten once',
            self::Destroyed => 'The drive was destroyed',
        };
    }
}
