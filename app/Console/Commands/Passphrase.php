<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use RuntimeException;

/** The passphrase of a backup: from the surroundings for a nightly run, typed unseen otherwise. */
final class Passphrase
{
    public static function ask(Command $command, bool $twice): string
    {
        $given = getenv('COBBLESTONE_PASSPHRASE');
        if (is_string($given) && $given !== '') {
            return $given;
        }
        $typed = (string) $command->secret('Passphrase of the backup');
        if ($twice && $typed !== (string) $command->secret('The same again')) {
            throw new RuntimeException('The second time it was typed differently. Nothing was done.');
        }

        return $typed;
    }
}
