<?php

namespace App\Console\Commands;

use App\Actions\ScanShelf;
use Illuminate\Console\Command;

final class ShelfCommand extends Command
{
    protected $signature = 'cobblestone:shelf {action=scan : scan looks once}';

    protected $description = 'Look into the folder of images for what is new, changed or gone';

    public function handle(ScanShelf $scan): int
    {
        if ($this->argument('action') !== 'scan') {
            $this->error('The action is scan. The watcher (cobblestone:watch) goes on looking.');

            return self::FAILURE;
        }
        $this->line($scan->handle().' new or changed');

        return self::SUCCESS;
    }
}
