<?php

namespace App\Console\Commands;

use App\Actions\DemoShelf;
use App\Actions\DemoWorld;
use App\Models\BenchEvent;
use App\Models\BenchSetting;
use App\Models\User;
use Illuminate\Console\Command;

final class DemoCommand extends Command
{
    protected $signature = 'cobblestone:demo';

    protected $description = 'Loads the demo world into an empty database; leaves a used one alone';

    public function handle(DemoWorld $demo, DemoShelf $shelf): int
    {
        if (User::query()->exists() || BenchSetting::read(BenchSetting::WORLD) === 'shop') {
            $this->info('The bench already has people, or is a shop of its own; nothing was loaded.');
            if (BenchSetting::read(BenchSetting::WORLD) === null) {
                // A database of an earlier release knew only the demo world.
                BenchSetting::put(BenchSetting::WORLD, 'demo');
            }

            return self::SUCCESS;
        }
        BenchSetting::put(BenchSetting::WORLD, 'demo');
        BenchEvent::note('demo-loaded', null, [], null);
        $demo->load($shelf->packages(...));
        $shelf->load();
        $this->info('Demo world loaded.');

        return self::SUCCESS;
    }
}
