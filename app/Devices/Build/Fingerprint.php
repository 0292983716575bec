<?php

namespace App\Devices\Build;

use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\TableReader;

/**
 * A short mark by which a stick is known again in moments, and a later change is noticed: table, file tables, top
 * folders.
 */
final class Fingerprint
{
    public const START = 65_536;

    private const FAT = 524_288;

    /** Of the first 64 KiB alone: table and first sectors, as somebody can read them off any stick. */
    public static function ofStart(ByteSource $stick): string
    {
        return hash('sha256', $stick->read(0, self::START));
    }

    public static function of(ByteSource $stick): string
    {
        $hash = hash_init('sha256');
        hash_update($hash, $stick->size().' '.$stick->read(0, self::START));
        $table = TableReader::read($stick);
        foreach (array_slice($table->volumes(), 0, 4) as $partition) {
            $inner = $table->open($partition, $stick);
            $volume = FatVolume::open($inner);
            hash_update(
                $hash,
                $volume === null
                    ? $inner->read(0, self::START)
                    : $inner->read(0, min(self::FAT, $volume->geometry['data_at'] * $volume->geometry['sector'])),
            );
            foreach ($volume === null ? [] : $volume->files(20_000) as $path => $entry) {
                hash_update($hash, "{$path} {$entry->size} {$entry->cluster}\n");
            }
        }

        return hash_final($hash);
    }
}
