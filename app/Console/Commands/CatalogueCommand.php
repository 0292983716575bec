<?php

namespace App\Console\Commands;

use App\Catalogue\CatalogueFolder;
use App\Catalogue\CatalogueStore;
use Illuminate\Console\Command;

final class CatalogueCommand extends Command
{
    protected $signature = 'cobblestone:catalogue {action : check, import or export} {path? : a folder of YAML files}';

    protected $description = 'Checks a folder of catalogue files, takes it over whole, or writes the present '
        .'catalogue out';

    public function handle(CatalogueStore $store): int
    {
        $path = (string) ($this->argument('path') ?? config('cobblestone.catalogue'));

        return match ($this->argument('action')) {
            'check' => $this->check($path),
            'import' => $this->import($path, $store),
            'export' => $this->export($path, $store),
            default => $this->unknown(),
        };
    }

    private function check(string $path): int
    {
        $folder = CatalogueFolder::readAnew($path);
        foreach ($folder->faults() as $fault) {
            $this->error($fault);
        }
        if ($folder->faults() === []) {
            $this->info('No faults: '.$this->counted($folder->entries()).'.');
        }

        return $folder->faults() === [] ? self::SUCCESS : self::FAILURE;
    }

    private function import(string $path, CatalogueStore $store): int
    {
        $folder = CatalogueFolder::readAnew($path);
        if ($folder->faults() !== []) {
            foreach ($folder->faults() as $fault) {
                $this->error($fault);
            }
            $this->error('Nothing was imported: mend the '.count($folder->faults()).' faults above first.');

            return self::FAILURE;
        }
        $store->replace($folder->entries());
        $this->info('Imported: '.$this->counted($folder->entries()).'.');

        return self::SUCCESS;
    }

    private function export(string $path, CatalogueStore $store): int
    {
        if ($this->argument('path') === null) {
            $this->error('Say where to: cobblestone:catalogue export FOLDER');

            return self::FAILURE;
        }
        $this->info('Exported: '.$this->counted($store->export($path)).'.');

        return self::SUCCESS;
    }

    private function unknown(): int
    {
        $this->error('The action is check, import or export.');

        return self::FAILURE;
    }

    /** @param  array<string, array<string, mixed>>  $entries */
    private function counted(array $entries): string
    {
        return implode(
            ', ',
            array_map(fn (string $kind, array $of): string => count($of)." {$kind}", array_keys($entries), $entries),
        ) ?:
            'nothing';
    }
}
