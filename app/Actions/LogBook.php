<?php

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Models\Job;
use App\Models\SealedKey;
use App\Models\User;
use Cobblestone\Job\ClosingSteps;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Plan;

/** Writes one line to a job's log and folds the job's summary anew, in the caller's transaction. */
final class LogBook
{
    public function __construct(private readonly JobBridge $bridge)
    {
    }

    /** @param  array<string, mixed>  $data */
    public function write(Job $job, User $user, EntryKind $kind, ?string $step = null, array $data = []): LogEntry
    {
        $now = now();
        $json = json_encode($data, JSON_THROW_ON_ERROR);
        // It is numbered when it is written; until then it only has to stand behind all others.
        $job->noted(new LogEntry(
            $job->last_entry + 1,
            $kind,
            $step,
            (int) $now->timestamp,
            $user->role,
            (array) json_decode($json, true, flags: JSON_THROW_ON_ERROR),
        ));
        $progress = $this->bridge->progress($job);
        $entry = $job->fill([
            'summary' => ($summary = $this->bridge->summary($progress)),
            'status' => $progress->isComplete() ? 'handed-over' : 'open',
            'handed_over_at' => $progress->isComplete() ? $job->handed_over_at ?? now() : null,
            'remind_at' => isset($summary['reminders'][0])
                ? \Illuminate\Support\Carbon::createFromTimestamp($summary['reminders'][0]['at'])
                : null,
            'delete_by' => $progress->isComplete() ? self::deleteBy($progress->evidence()) : null,
            'machine_serial' => self::serial($progress->plan),
        ])->saveNoted([
            'job_id' => $job->id,
            'user_id' => $user->id,
            'revision' => $job->revision,
            'role' => $user->role,
            'kind' => $kind->value,
            'step' => $step,
            'data' => $json,
            'created_at' => $now,
        ]);
        $progress->isComplete() && self::forgetKeys($job);

        return $entry;
    }

    /** Keys are kept no longer than the machine is here (rule A7). */
    private static function forgetKeys(Job $job): void
    {
        SealedKey::query()
            ->where('job_id', $job->id)
            ->where('deleted_at', null)
            ->get()
            ->each(fn (SealedKey $key) => $key->forget());
    }

    /** @param  array<string, array<string, string>>  $evidence  step => evidence => value */
    private static function deleteBy(array $evidence): ?string
    {
        return array_column($evidence, ClosingSteps::DELETE_BY)[0] ?? null;
    }

    private static function serial(Plan $plan): ?string
    {
        $serial = $plan->fact('machine.serial')?->told('value');

        return is_scalar($serial) ? mb_substr((string) $serial, 0, 120) : null;
    }
}
