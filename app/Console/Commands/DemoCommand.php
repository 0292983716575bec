<?php

namespace App\Console\Commands;

use App\Actions\DemoShelf;
use App\Actions\DemoWorld;
use App\Models\User;
use Illuminate\Console\Command;

final class DemoCommand extends Command
{
    protected $signature = 'cobblestone:demo';

    protected $description = 'Loads the demo world into an empty database; leaves a used one alone';

    public function handle(DemoWorld $demo, DemoShelf $shelf): int
    {
        if (User::query()->exists()) {
            $this->info('The bench already has people; nothing was loaded.');

            return self::SUCCESS;
        }
        $demo->load();
        $shelf->load();
        $this->info('Demo world loaded.');

        return self::SUCCESS;
    }
}
