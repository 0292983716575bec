<?php

namespace App\Devices\Stick;

use App\Devices\Build\BuildFailure;

/** One writer at a time on a stick, whoever began it: a page, the command line, a check. */
final class StickLock
{
    /**
     * Held until the stream is closed, or the process ends.
     *
     * @return resource
     *
     * @throws BuildFailure where somebody else holds it
     */
    public static function take(string $slug)
    {
        $folder = (string) config('cobblestone.sticks');
        is_dir($folder) || @mkdir($folder, 0775, true);
        $lock = @fopen("{$folder}/{$slug}.lock", 'c');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            throw BuildFailure::of('identity', 'Something else is writing to this stick right now. Wait until it is done.');
        }
        Owner::asFolder("{$folder}/{$slug}.lock");

        return $lock;
    }
}
