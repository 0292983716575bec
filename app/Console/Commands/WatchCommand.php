<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\EndDeadBuilds;
use App\Actions\ScanShelf;
use App\Bridge\StickRegister;
use App\Models\SealedKey;
use App\Models\Upload;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Throwable;

/** What has to happen although nobody looks: no page changes anything by being looked at. */
final class WatchCommand extends Command
{
    private const TICK_SECONDS = 2;

    /** Every so many ticks. */
    private const SELDOM = 30;

    private bool $goOn = true;

    protected $signature = 'cobblestone:watch {--once : one round of everything, then end}';

    protected $description = 'Looks after shelf, sticks, builds, uploads and keys';

    public function handle(): int
    {
        $this->trap([SIGTERM, SIGINT], function (): void {
            $this->goOn = false;
        });
        for ($tick = 0; $this->goOn; $tick++) {
            $this->round(seldom: $tick % self::SELDOM === 0);
            if ($this->option('once')) {
                break;
            }
            sleep(self::TICK_SECONDS);
        }

        return self::SUCCESS;
    }

    private function round(bool $seldom): void
    {
        $tasks = [
            fn () => app(EndDeadBuilds::class)->handle(),
            fn () => app(ScanShelf::class)->handle(),
            ...$seldom
                ? [
                    fn () => SealedKey::forgetExpired(),
                    fn () => Upload::forgetOld(),
                    fn () => app(StickRegister::class)->keepWhatChanged(),
                ]
                : [],
        ];
        foreach ($tasks as $task) {
            try {
                $task();
            } catch (Throwable $e) {
                // One that fails keeps none of the others from their work; the database may be away for a moment.
                report($e);
                DB::purge();
            }
        }
    }
}
