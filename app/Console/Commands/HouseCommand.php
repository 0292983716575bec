<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\House\FactTable;
use App\House\Imports;
use App\House\LayerPicture;
use App\House\Layers;
use App\House\Readable;
use Illuminate\Console\Command;

/**
 * Draws the layers of the core from its code, says what goes the wrong way, lists what is not readable yet, and the
 * facts.
 */
final class HouseCommand extends Command
{
    protected $signature = 'cobblestone:house';

    protected $description = 'Draw the layers of the core into docs/house.svg, from the code itself';

    public function handle(): int
    {
        $imports = Imports::of(base_path('core'));
        file_put_contents(base_path('docs/house.svg'), LayerPicture::of($imports));
        file_put_contents(base_path('docs/house-debts.json'), self::debts());
        file_put_contents(base_path('docs/guide/facts.md'), FactTable::markdown());
        $faults = Layers::faults($imports);
        array_map($this->error(...), $faults);
        $this->info(count($imports->parts()).' parts in '.count(Layers::CORE).' layers: docs/house.svg');

        return $faults === [] ? self::SUCCESS : self::FAILURE;
    }

    /** Every file that cannot be read from a metre away yet, and by how much. */
    public static function debts(): string
    {
        $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

        return json_encode(Readable::debts(base_path()), $flags)."\n";
    }
}
