<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\WhenProven;
use App\Models\StickBuild;
use Cobblestone\Runbook\Refused;
use Illuminate\Validation\ValidationException;
use Throwable;

/** A stick that was built for a job lays the stones of that job; what it could not lay is told beside the build. */
final class StickWasProven implements WhenProven
{
    public function __construct(
        private readonly LayStickStones $lay,
        private readonly LayFilesStone $files,
    ) {
    }

    public function proven(StickBuild $build): array
    {
        $user = $build->user;
        if ($build->job_id === null || $user === null) {
            return [];
        }
        try {
            return ($build->stickPlan()->image->isFolder() ? $this->files : $this->lay)
                ->handle($build->job_id, $user, $build->slug)
                ->toArray();
        } catch (ValidationException|Refused|ContentsRemoved $e) {
            $why = $e->getMessage();
        } catch (Throwable $e) {
            report($e);
            $why = 'That went wrong; it is in the log of this computer. Lay them from the page of the job\'s stick.';
        }

        return ['laid' => [], 'waits' => ['Stones' => $why]];
    }
}
