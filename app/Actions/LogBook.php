<?php

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Models\Job;
use App\Models\LogRecord;
use App\Models\SealedKey;
use App\Models\User;
use Cobblestone\Runbook\EntryKind;

/** Writes one line to a job's log and folds the job's summary anew, in the caller's transaction. */
final class LogBook
{
    public function __construct(private readonly JobBridge $bridge)
    {
    }

    /** @param  array<string, mixed>  $data */
    public function write(Job $job, User $user, EntryKind $kind, ?string $step = null, array $data = []): LogRecord
    {
        $entry = LogRecord::query()->create([
            'job_id' => $job->id,
            'user_id' => $user->id,
            'revision' => $job->revision,
            'role' => $user->role,
            'kind' => $kind->value,
            'step' => $step,
            'data' => $data,
            'created_at' => now(),
        ]);
        $job->noted($this->bridge->entry($entry));
        $progress = $this->bridge->progress($job);
        $job->fill([
            'last_entry' => $entry->id,
            'summary' => ($summary = $this->bridge->summary($progress)),
            'status' => $progress->isComplete() ? 'handed-over' : 'open',
            'handed_over_at' => $progress->isComplete() ? $job->handed_over_at ?? now() : null,
            'remind_at' => isset($summary['reminders'][0])
                ? \Illuminate\Support\Carbon::createFromTimestamp($summary['reminders'][0]['at'])
                : null,
            'machine_serial' => self::serial($progress->plan->facts),
        ])->saveNoted();
        if ($progress->isComplete()) {
            // Keys are kept no longer than the machine is here (rule A7).
            SealedKey::query()
                ->where('job_id', $job->id)
                ->where('deleted_at', null)
                ->get()
                ->each(fn (SealedKey $key) => $key->forget());
        }

        return $entry;
    }

    /** @param  list<array<string, mixed>>  $facts */
    private static function serial(array $facts): ?string
    {
        $serial = array_column($facts, 'value', 'name')['machine.serial'] ?? null;

        return is_scalar($serial) ? mb_substr((string) $serial, 0, 120) : null;
    }
}
