<?php

declare(strict_types=1);

namespace App\Actions;

use App\Devices\DriverFolders;
use App\Jobs\WhenProven;
use App\Models\Job;
use App\Models\StickBuild;
use App\Models\User;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Refused;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Throwable;

/** A stick that was built for a job lays the stones of that job; what it could not lay is told beside the build. */
final class StickWasProven implements WhenProven
{
    public function __construct(
        private readonly LayStickStones $lay,
        private readonly LayFilesStone $files,
        private readonly LayByFact $one,
    ) {
    }

    public function proven(StickBuild $build): array
    {
        $user = $build->user;
        if ($build->job_id === null || $user === null) {
            return [];
        }
        try {
            return $this->laid($build->job_id, $user, $build)->toArray();
        } catch (ValidationException|Refused|ContentsRemoved $e) {
            $why = $e->getMessage();
        } catch (Throwable $e) {
            report($e);
            $why = 'That went wrong; it is in the log of this computer. Lay them from the page of the job\'s stick.';
        }

        return ['laid' => [], 'waits' => ['Stones' => $why]];
    }

    /** By what was built: a stick that collects, one of files, or the job's own. */
    private function laid(int $job, User $user, StickBuild $build): StonesLaid
    {
        return match (true) {
            $build->drivers === DriverFolders::COLLECTOR => DB::transaction(function () use ($job, $user, $build) {
                $locked = Job::locked($job);
                ContentsRemoved::check($locked);

                return $this->one->handle($locked, $user, PathFact::COLLECTING_STICK, [
                    'text' => "Build {$build->id}: {$build->stickPlan()->image->file} and the collector, read back "
                        .'and equal.',
                    'stick' => $build->slug,
                ], $build->stickPlan()->serial);
            }),
            $build->stickPlan()->image->isFolder() => $this->files->handle($job, $user, $build->slug),
            default => $this->lay->handle($job, $user, $build->slug),
        };
    }
}
