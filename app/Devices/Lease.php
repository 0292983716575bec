<?php

declare(strict_types=1);

namespace App\Devices;

/**
 * The right to work on one thing, for as long as the process lives: the kernel's lock on a file.
 * Not a time that runs out: a worker that stands still for an hour keeps it, a dead one has lost it at once.
 */
final class Lease
{
    /** @return resource|null held until it is closed or the process ends; null where another process has it */
    public static function take(string $name)
    {
        $folder = config('cobblestone.state').'/leases';
        is_dir($folder) || @mkdir($folder, 0750, recursive: true);
        // Closed in the programs that are started meanwhile: only this process holds it.
        $file = @fopen("{$folder}/{$name}", 'ce');
        if ($file === false || ! flock($file, LOCK_EX | LOCK_NB)) {
            return null;
        }

        return $file;
    }
}
