<?php

namespace App\Jobs;

use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Devices\Build\BuildFailure;
use App\Devices\Build\BuildResult;
use App\Devices\Build\SourceFiles;
use App\Devices\DriverFolders;
use App\Devices\Lease;
use App\Devices\Stick\StickLock;
use App\Models\StickBuild;
use Carbon\CarbonInterface;
use Cobblestone\Catalogue\HostProfile;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** A build that somebody asked for on a page. */
final class StickBuildJob implements ShouldQueue
{
    use Queueable;

    public int $timeout = 0;

    /** Given out again when the worker died; what had begun then is ended in words, never begun twice. */
    public int $tries = 0;

    public function __construct(private readonly int $build)
    {
        $this->onQueue('builds');
    }

    public function handle(BuildStick $action, StickRegister $register): void
    {
        $build = StickBuild::query()->find($this->build);
        if ($build?->state === 'running' && StickLock::isFree($build->slug)) {
            $build->brokeOff();
        }
        if ($build === null || $build->state !== 'queued') {
            return;
        }
        if ($build->cancel) {
            $build->update(['state' => 'cancelled', 'ended_at' => now()]);

            return;
        }
        $lease = Lease::take("build-{$build->slug}");
        if ($lease === null || ! self::begins($build)) {
            return;
        }
        $build->refresh();
        try {
            $result = self::built($action, $build, $register);
            $build->update(self::done($result));
            $build->update(['result' => [...$build->result ?? [], ...app(WhenProven::class)->proven($build)]]);
        } catch (BuildFailure $e) {
            $build->update([
                'state' => $e->kind === 'cancelled' ? 'cancelled' : 'failed',
                'fault' => $e->getMessage(),
                'ended_at' => now(),
            ]);
        } catch (Throwable $e) {
            report($e);
            $build->update(self::failed());
        } finally {
            fclose($lease);
        }
    }

    /** False where another worker, or somebody who stopped it, was faster. */
    private static function begins(StickBuild $build): bool
    {
        return StickBuild::query()
            ->whereKey($build->id)
            ->where('state', 'queued')
            ->update(['state' => 'running', 'began_at' => now()]) > 0;
    }

    private static function built(
        BuildStick $action,
        StickBuild $build,
        StickRegister $register,
    ): BuildResult {
        $source = self::source($build);
        [$slug, $about, $user] = [$build->slug, $build->image->about ?? [], $build->user_id];
        $hosts = $build->made_on === null ? [] : app(CatalogueStore::class)->catalogue()->hosts();
        $madeOn = $build->made_on === null ? null : HostProfile::among($hosts, $build->made_on);

        return $action->handle(
            new BuildOrder($slug, $build->stickPlan(), $source, $about, $user, $build->id, $build->job_id, $madeOn),
            $register->device($slug),
            new StoredProgress($build),
        );
    }

    /** @throws BuildFailure where the image is not there any more */
    private static function source(StickBuild $build): SourceFiles
    {
        $drivers = DriverFolders::path($build->drivers);
        if ($build->stickPlan()->image->isFolder()) {
            $folder = $drivers ?? (string) config('cobblestone.shelf');

            return new SourceFiles($folder, $folder);
        }
        $image = $build->image ?? throw BuildFailure::of('source', 'The image is not on the shelf any more.');

        return new SourceFiles($image->path(), $drivers);
    }

    /**
     * @return array<string, mixed>
     */
    private static function done(BuildResult $result): array
    {
        return [
            'state' => 'done',
            'stage' => 'Proven',
            'ended_at' => now(),
            'result' => [
                'bytes' => $result->bytes,
                'write_seconds' => $result->writeSeconds,
                'verify_seconds' => $result->verifySeconds,
                'files' => count($result->sums),
                'attempts' => $result->attempts,
                'sha256sums' => $result->sha256sums(),
            ],
        ];
    }

    /**
     * @return array<string, string|CarbonInterface>
     */
    private static function failed(): array
    {
        return [
            'state' => 'failed',
            'fault' => 'Something went wrong that nobody foresaw; it is in the log of this computer. The stick is '
                .'unfinished.',
            'ended_at' => now(),
        ];
    }
}
