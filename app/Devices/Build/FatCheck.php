<?php

namespace App\Devices\Build;

use App\Devices\Command;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\WindowSource;
use RuntimeException;

/**
 * fsck.vfat over a partition of a larger file. It reads only tables and directories, so these are copied into
 * a sparse file of the same size: the partition itself is neither mounted nor copied.
 */
final class FatCheck
{
    /** @throws RuntimeException with what fsck.vfat found */
    public static function run(WindowSource $partition, FatVolume $volume): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'cobble-fsck');
        try {
            $out = fopen($file, 'r+b') ?: throw BuildFailure::of('room', 'No scratch file can be made.');
            ftruncate($out, max(0, $volume->geometry['sectors'] * $volume->geometry['sector']));
            self::put($partition, $out, 0, $volume->geometry['data_at'] * $volume->geometry['sector']);
            $open = [null];
            $seen = [];
            while ($open !== []) {
                $directory = array_pop($open);
                foreach ($volume->clusters($directory) as [$at, $length]) {
                    self::put($partition, $out, $at, $length);
                }
                foreach ($volume->entries($directory) as $entry) {
                    if ($entry->directory && ! isset($seen[$entry->cluster])) {
                        $seen[$entry->cluster] = true;
                        $open[] = $entry;
                    }
                }
            }
            fclose($out);
            Command::run(['fsck.vfat', '-n', $file], 600);
        } finally {
            @unlink($file);
        }
    }

    /** @param  resource  $out */
    private static function put(WindowSource $from, $out, int $at, int $length): void
    {
        fseek($out, $at);
        foreach (Pump::pieces($from, $at, $length) as $piece) {
            fwrite($out, $piece);
        }
    }
}
