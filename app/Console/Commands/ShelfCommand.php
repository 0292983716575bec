<?php

namespace App\Console\Commands;

use App\Actions\ScanShelf;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Throwable;

final class ShelfCommand extends Command
{
    private const EVERY_SECONDS = 5;

    private bool $goOn = true;

    protected $signature = 'cobblestone:shelf {action=scan : scan looks once, watch goes on looking}';

    protected $description = 'Look into the folder of images for what is new, changed or gone';

    public function handle(ScanShelf $scan): int
    {
        if ($this->argument('action') !== 'watch') {
            $this->line($scan->handle().' new or changed');

            return self::SUCCESS;
        }
        $this->trap([SIGTERM, SIGINT], function (): void {
            $this->goOn = false;
        });
        while ($this->goOn) {
            try {
                $scan->handle();
            } catch (Throwable $e) {
                // The database may be away for a moment; the next look begins anew.
                report($e);
                DB::purge();
            }
            sleep(self::EVERY_SECONDS);
        }

        return self::SUCCESS;
    }
}
