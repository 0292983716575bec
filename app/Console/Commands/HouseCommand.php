<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\Imports;
use App\House\LayerPicture;
use App\House\Layers;
use Illuminate\Console\Command;

/** Draws the layers of the core from its code, and says what goes the wrong way. */
final class HouseCommand extends Command
{
    protected $signature = 'cobblestone:house';

    protected $description = 'Draw the layers of the core into docs/house.svg, from the code itself';

    public function handle(): int
    {
        $imports = Imports::of(base_path('core'));
        file_put_contents(base_path('docs/house.svg'), LayerPicture::of($imports));
        $faults = Layers::faults($imports);
        array_map($this->error(...), $faults);
        $this->info(count($imports->parts()).' parts in '.count(Layers::CORE).' layers: docs/house.svg');

        return $faults === [] ? self::SUCCESS : self::FAILURE;
    }
}
