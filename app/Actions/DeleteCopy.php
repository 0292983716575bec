<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BenchEvent;
use App\Models\Job;
use App\Models\User;
use App\Retention\DueCopy;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\WrittenDown;
use Illuminate\Support\Facades\DB;

/** Puts on record that the copy of an owner's files is gone, with what was looked at (rule L4). */
final class DeleteCopy
{
    public function __construct(private readonly LogBook $log)
    {
    }

    /**
     * @param  array<string, mixed>  $evidence  as typed
     */
    public function handle(int $number, User $user, array $evidence): void
    {
        DB::transaction(function () use ($number, $user, $evidence): void {
            $job = Job::locked($number);
            if ($job->isOpen() || $job->backup_gone_at !== null) {
                throw Refused::evidence('gone', 'Of this job no copy is waiting to be deleted.');
            }
            $step = DueCopy::of($job)->step;
            $kept = WrittenDown::at($step, $evidence, [], $user->role, []);
            $job->update(['backup_gone_at' => now()]);
            BenchEvent::note(
                'copy-deleted',
                sprintf('job %04d', $job->id),
                ['because' => 'its day had come', 'how' => $kept['evidence']['how'] ?? ''],
                $user->id,
            );
            if ($job->owner_removed_at === null) {
                $this->log->write($job, $user, EntryKind::CopyDeleted, null, $kept);
            }
        });
    }
}
