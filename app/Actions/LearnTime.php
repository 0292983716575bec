<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use App\Models\StepTime;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\TimesSeen;

/** Keeps how long a stone took, where its time follows from model and system; what is taken back is forgotten (I5). */
final class LearnTime
{
    /** @param  bool  $beforeClock  whether it was done before its clock ran, which then says nothing */
    public function laid(Job $job, Progress $before, Step $step, bool $beforeClock): void
    {
        $of = $before->plan->job;
        $now = (int) now()->timestamp;
        $started = $before->startedAt($step);
        if (
            $of->model === null || $of->system === null || $started === null || $beforeClock
            || ! TimesSeen::tells($step, $now - $started)
        ) {
            return;
        }
        StepTime::query()->updateOrCreate(['job_id' => $job->id, 'step' => $step->id], [
            'model' => $of->model,
            'system' => $of->system,
            'stick' => TimesSeen::readsStick($step) ? $of->stick ?? '' : '',
            'title' => $step->title,
            'seconds' => $now - $started,
        ]);
    }

    public function takenBack(Job $job, string $step): void
    {
        StepTime::query()->where('job_id', $job->id)->where('step', $step)->delete();
    }
}
