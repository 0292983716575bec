<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use App\Models\User;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Support\Facades\DB;

/** What was measured of a machine, and what was taken out again, on its job's record (rules L1, T2, T3). */
final class NoteTuning
{
    public function __construct(private readonly LogBook $log)
    {
    }

    /**
     * @param  callable(): mixed  $change  what is kept or taken out with it
     *
     * @throws ContentsRemoved
     */
    public function handle(Job $job, User $user, string $text, callable $change): void
    {
        DB::transaction(function () use ($job, $user, $text, $change): void {
            $held = Job::locked($job->id);
            ContentsRemoved::check($held);
            $change();
            $this->log->write($held, $user, EntryKind::Tuning, null, ['text' => $text]);
        });
    }
}
