<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\TableReading;

/** What kind of image it is, from what was found at its start (rule M2). */
final class ImageKind
{
    public static function of(?OpticalVolume $optical, TableReading $table, ?FatVolume $fat): string
    {
        return match (true) {
            $optical !== null => $table->partitions === [] ? 'optical' : 'optical-hybrid',
            $table->scheme !== 'none' && $table->partitions !== [] => 'raw',
            $fat !== null => 'fat',
            default => 'unknown',
        };
    }

    /** Whether its boot sector starts a machine the old way, written raw; null: cannot tell. */
    public static function startsOldWay(string $kind, TableReading $table, ByteSource $content): ?bool
    {
        return match (true) {
            $kind === 'optical' || $kind === 'unknown' || ! $table->bootCode => false,
            $content->read(510, 2) !== "\x55\xAA" => false,
            // Every FAT boot sector has code; mostly it only says that there is nothing to start.
            $kind === 'fat' => null,
            default => true,
        };
    }
}
