<?php

namespace App\Devices\Stick;

/**
 * What root makes on the command line belongs to whoever owns the folder, so that the application can go on with it.
 */
final class Owner
{
    public static function asFolder(string $file): void
    {
        if (posix_geteuid() === 0 && is_file($file)) {
            @chown($file, (int) fileowner(dirname($file)));
            @chgrp($file, (int) filegroup(dirname($file)));
        }
    }
}
