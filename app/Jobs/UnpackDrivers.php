<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\DriverLaying;
use App\Models\Job;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use RuntimeException;

/** Unpacks what travels on a job's stick, with progress, in the background. */
final class UnpackDrivers implements ShouldQueue
{
    use Queueable;

    public int $timeout = 0;

    /** Given out again when the worker died: it begins anew. */
    public int $tries = 0;

    public function __construct(private readonly int $of)
    {
    }

    public function handle(LayDrivers $lay): void
    {
        $laying = DriverLaying::query()->find($this->of);
        $job = Job::query()->find($this->of);
        $lease = $laying?->lease();
        if ($laying === null || $job === null || $lease === null) {
            return;
        }
        try {
            if ($laying->begin()) {
                $this->lay($job, $laying, $lay);
            }
        } finally {
            fclose($lease);
        }
    }

    private function lay(Job $job, DriverLaying $laying, LayDrivers $lay): void
    {
        $tell = static function (string $package, int $done, int $all) use ($laying): void {
            $laying->tell($package, $done, $all) || throw new LayingStopped;
        };
        try {
            $laying->done($lay->handle($job, $tell));
        } catch (LayingStopped) {
            // Whoever stopped it has said so in the row.
        } catch (RuntimeException $e) {
            $laying->failed($e->getMessage());
        }
    }
}
