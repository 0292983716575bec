<?php

namespace App\Devices\Stick;

use App\Devices\Build\BuildFailure;

/**
 * One writer at a time on a stick, whoever began it: a page, the command line, a check.
 *
 * It is the kernel's lock on a file, so it lives exactly as long as the writer: a stalled one keeps it, a dead one
 * cannot.
 * Programs that write for it inherit it, and end with it (see Limits): nothing writes to a stick whose lock is free.
 */
final class StickLock
{
    /**
     * Held until the stream is closed, or the process and what it started have ended.
     *
     * @return resource
     *
     * @throws BuildFailure where somebody else holds it
     */
    public static function take(string $slug)
    {
        // Somebody who only looks whether it is free holds it for an instant.
        for ($try = 0; $try < 20; $try++) {
            $lock = self::open($slug);
            if (flock($lock, LOCK_EX | LOCK_NB)) {
                return $lock;
            }
            fclose($lock);
            usleep(25_000);
        }
        throw BuildFailure::of(
            'identity',
            'Something else is writing to this stick right now. Wait until it is done.',
        );
    }

    public static function isFree(string $slug): bool
    {
        $lock = self::open($slug);
        $free = flock($lock, LOCK_EX | LOCK_NB);
        fclose($lock);

        return $free;
    }

    /** @return resource */
    private static function open(string $slug)
    {
        $folder = (string) config('cobblestone.sticks');
        is_dir($folder) || @mkdir($folder, 0750, true);
        $lock = @fopen("{$folder}/{$slug}.lock", 'c');
        if ($lock === false) {
            throw BuildFailure::of(
                'protected',
                'The folder of the sticks on this computer cannot be written. Tell the lead.',
            );
        }
        Owner::asFolder("{$folder}/{$slug}.lock");

        return $lock;
    }
}
