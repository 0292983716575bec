<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\SeenMachine;
use App\Models\FinishedReading;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Inventory\Reading;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps what tools say of a finished machine; another machine's readings are refused (rules K2, T1). */
final class ReadFinished
{
    public function __construct(private readonly LogBook $log, private readonly SeenMachine $machine)
    {
    }

    /**
     * @param  list<Reading>  $readings
     * @param  int  $seen  id of the newest log entry the person had before them
     *
     * @throws ChangedMeanwhile|ContentsRemoved
     */
    public function handle(Job $job, User $user, array $readings, int $seen): void
    {
        DB::transaction(function () use ($job, $user, $readings, $seen): void {
            $job = Job::locked($job->id);
            ContentsRemoved::check($job);
            ChangedMeanwhile::check($job, $seen);
            $another = $this->machine->readings($job, $readings)->another;
            if ($another !== null) {
                throw ValidationException::withMessages(['output' => $another]);
            }
            if (FinishedReading::query()->where('job_id', $job->id)->count() >= FinishedReading::MOST) {
                throw ValidationException::withMessages([
                    'output' => 'This job already keeps '.FinishedReading::MOST.' readings of its finished machine; '
                        .'that is enough.',
                ]);
            }
            $source = implode(', ', array_unique(array_map(
                static fn (Reading $of): string => $of->origin,
                $readings,
            )));
            FinishedReading::query()->create([
                'job_id' => $job->id,
                'user_id' => $user->id,
                'source' => mb_substr($source, 0, 200),
                'readings' => array_map(static fn (Reading $of): array => $of->toArray(), $readings),
                'created_at' => now(),
            ]);
            $this->log->write($job, $user, EntryKind::FinishedRead, null, [
                'text' => mb_substr(implode(', ', array_unique(array_map(
                    static fn (Reading $of): string => $of->tool,
                    $readings,
                ))), 0, 200),
            ]);
        });
    }
}
