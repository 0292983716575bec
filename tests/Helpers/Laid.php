<?php

use App\Actions\WalkStep;
use App\Bridge\JobBridge;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Runbook\WalkThrough;

/** Lays every stone before one, then that one, which takes so many minutes. */
function layUpTo(Job $job, User $user, string $last, int $minutes): void
{
    do {
        $progress = app(JobBridge::class)->progress($job->refresh());
        $step = $progress->current();
        test()->travel(30)->minutes();
        $walk = fn (string $action, array $input = []) => app(WalkStep::class)
            ->handle($job->id, $user, $step->id, $action, $input, $job->refresh()->last_entry);
        if ($step->isOneWay()) {
            $walk('confirm', ['serial' => (string) $step->confirmation->serial, 'read_from' => 'label']);
        }
        $walk('start');
        test()->travel($step->id === $last ? $minutes : 60)->minutes();
        $walk('done', ['evidence' => WalkThrough::evidence($step, $progress->evidence())]);
    } while ($step->id !== $last);
}
