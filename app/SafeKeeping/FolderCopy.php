<?php

namespace App\SafeKeeping;

use App\Devices\Command;
use RuntimeException;

/** A folder copied whole, where there is room for it. */
final class FolderCopy
{
    /** Bytes that must stay free at the destination. */
    private const KEEP_FREE = 200_000_000;

    /** @throws RuntimeException where the room is too small */
    public static function make(string $from, string $to): void
    {
        if (! is_dir($from)) {
            return;
        }
        $bytes = (int) explode("\t", Command::run(['du', '-s', '--block-size=1', '--', $from], 600))[0];
        if ($bytes + self::KEEP_FREE > (int) disk_free_space(dirname($to))) {
            throw new RuntimeException(
                sprintf(
                    'The destination has %.1f GB free, %s needs %.1f GB. Nothing was kept; make room or take another '
                        .'place.',
                    disk_free_space(dirname($to)) / 1e9,
                    basename($to),
                    $bytes / 1e9));
        }
        Command::run(['cp', '-a', '--sparse=always', '--', $from, $to], 36_000);
    }
}
