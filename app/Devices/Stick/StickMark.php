<?php

declare(strict_types=1);

namespace App\Devices\Stick;

use App\Devices\Build\BuildFailure;
use App\Devices\Command;
use RuntimeException;

/**
 * The mark "unfinished" beside a stick: on the disk before the first byte of the stick changes, gone only when the
 * proof is on record.
 * While it stands the stick is unfinished, whatever the record says: a record can be older than the stick.
 */
final class StickMark
{
    /** @throws BuildFailure where it cannot be put on the disk: then nothing may be written either */
    public static function put(string $slug): void
    {
        $file = self::file($slug);
        try {
            $handle = @fopen($file, 'wb');
            if ($handle === false || @fwrite($handle, "unfinished\n") !== 11 || ! @fsync($handle)) {
                throw new RuntimeException('it cannot be written');
            }
            fclose($handle);
            Owner::asFolder($file);
            // The folder too: else the file could be gone after a power cut although its contents were written.
            Command::run(['sync', dirname($file)], 60);
        } catch (RuntimeException $e) {
            throw BuildFailure::of(
                'room',
                "The mark \"unfinished\" cannot be put on this computer's drive ({$e->getMessage()}). Nothing was "
                    .'written to the stick. Make room and begin again.',
            );
        }
    }

    public static function stands(string $slug): bool
    {
        clearstatcache(true, self::file($slug));

        return is_file(self::file($slug));
    }

    public static function clear(string $slug): void
    {
        if (self::stands($slug)) {
            unlink(self::file($slug));
            Command::run(['sync', dirname(self::file($slug))], 60);
        }
    }

    private static function file(string $slug): string
    {
        return config('cobblestone.sticks')."/{$slug}.unfinished";
    }
}
