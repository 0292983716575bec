<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\FactTable;
use App\House\Imports;
use App\House\LayerPicture;
use App\House\Layers;
use App\House\Readable;
use App\House\SchoolTable;
use Illuminate\Console\Command;

/**
 * Draws the layers of the core from its code, says what goes the wrong way, lists what is not readable yet, the
 * facts and the schools.
 */
final class HouseCommand extends Command
{
    protected $signature = 'cobblestone:house';

    protected $description = 'Draw the layers of the core into docs/house.svg, from the code itself';

    public function handle(): int
    {
        $imports = Imports::of(base_path('core'));
        file_put_contents(base_path('docs/house.svg'), LayerPicture::of($imports));
        $debts = Readable::debts(base_path());
        file_put_contents(base_path('docs/guide/facts.md'), FactTable::markdown());
        file_put_contents(base_path('docs/guide/schools.md'), SchoolTable::markdown());
        $faults = [...Layers::faults($imports), ...Readable::faults($debts)];
        array_map($this->error(...), $faults);
        foreach ($debts as $file => $found) {
            $told = array_map(
                static fn (string $what, int $many): string => "{$many} {$what}",
                array_keys($found),
                $found,
            );
            $this->line("advice: {$file}: ".implode(', ', $told));
        }
        $this->info(count($imports->parts()).' parts in '.count(Layers::CORE).' layers: docs/house.svg');

        return $faults === [] ? self::SUCCESS : self::FAILURE;
    }
}
