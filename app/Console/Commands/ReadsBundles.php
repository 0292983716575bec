<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ReadInventory;
use Cobblestone\Inventory\Reading;
use RuntimeException;

/** Bundles of readings, named on the command line. */
trait ReadsBundles
{
    /** @var list<string> what of them could not be read */
    private array $notRead = [];

    /**
     * @param  list<string>  $files  bundles, or files of single tools
     *
     * @throws RuntimeException where a file is not there, or nothing in it could be read
     */
    private function bundle(array $files): ReadInventory
    {
        $read = new ReadInventory(now()->utc()->format('Y-m-d\TH:i\Z'));
        foreach ($files as $file) {
            is_file($file) || throw new RuntimeException("There is no file {$file}.");
            $read->file($file, basename($file));
        }
        array_push($this->notRead, ...$read->problems);

        return array_filter($read->readings, static fn (Reading $one): bool => ! $one->isEmpty()) === []
            ? throw new RuntimeException(implode("\n", $read->problems) ?: 'Name at least one bundle.')
            : $read;
    }

    /** @return list<string> */
    private static function files(mixed $given): array
    {
        return array_values(array_map(strval(...), array_filter((array) $given, is_scalar(...))));
    }
}
