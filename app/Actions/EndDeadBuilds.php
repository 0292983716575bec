<?php

declare(strict_types=1);

namespace App\Actions;

use App\Devices\Lease;
use App\Devices\Stick\StickLock;
use App\Jobs\HashShelfFile;
use App\Jobs\InspectShelfFile;
use App\Jobs\StickBuildJob;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use Illuminate\Support\Facades\DB;

/** Work whose worker died: a build is ended in words, what only waits or reads is given out again. */
final class EndDeadBuilds
{
    /** Seconds that a build may wait without standing in the queue: both are written at once. */
    private const UNQUEUED_AFTER = 10;

    public function handle(): void
    {
        foreach (
            [
                ...StickBuild::query()->where('state', 'running')->get(),
                ...StickBuild::query()->where('state', 'queued')->get(),
            ] as $build
        ) {
            $lease = Lease::take("build-{$build->slug}");
            if ($lease === null) {
                continue;
            }
            if ($build->state === 'running' && StickLock::isFree($build->slug)) {
                $build->brokeOff();
            } elseif (
                $build->state === 'queued' &&
                $build->created_at->lt(now()->subSeconds(self::UNQUEUED_AFTER)) &&
                self::isEmpty('builds')
            ) {
                StickBuildJob::dispatch($build->id);
            }
            fclose($lease);
        }
        self::hashWithoutQueue();
        if (self::isEmpty('default')) {
            foreach (
                ShelfFile::query()
                    ->where('here', true)
                    ->where('report', null)
                    ->where('updated_at', '<', now()->subSeconds(self::UNQUEUED_AFTER))
                    ->get() as $file
            ) {
                InspectShelfFile::dispatch($file->id);
            }
        }
    }

    /** Files that wait for their checksum while nothing in the queue will make it. */
    private static function hashWithoutQueue(): void
    {
        if (self::isEmpty('hash')) {
            foreach (
                ShelfFile::query()
                    ->where('here', true)
                    ->whereIn('hash_state', ['waiting', 'running'])
                    ->where('updated_at', '<', now()->subSeconds(self::UNQUEUED_AFTER))
                    ->get() as $file
            ) {
                HashShelfFile::dispatch($file->id);
            }
        }
    }

    private static function isEmpty(string $queue): bool
    {
        return config('queue.default') !== 'database' || ! DB::table('queue_jobs')->where('queue', $queue)->exists();
    }
}
