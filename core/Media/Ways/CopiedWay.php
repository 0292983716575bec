<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Storage\Scheme;

/** The ways in which the files of an image are copied onto one FAT32 partition. */
enum CopiedWay: string
{
    case Gpt = 'copied-gpt';
    case Mbr = 'copied-mbr';
    case BesideStorage = 'copied-storage';

    public function title(): string
    {
        return match ($this) {
            self::Gpt => 'Files copied, GPT',
            self::Mbr => 'Files copied, MBR',
            self::BesideStorage => 'Files copied, beside a storage partition',
        };
    }

    public function scheme(): Scheme
    {
        return $this === self::Mbr ? Scheme::Mbr : Scheme::Gpt;
    }
}
