<?php

namespace App\Actions;

use App\Bridge\BenchClock;
use App\Bridge\JobBridge;
use App\Documents\FieldFaults;
use App\Models\Job;
use App\Models\User;
use Closure;

/** Changes one part of a job's brief and computes the path again. */
final class ChangeBrief
{
    public function __construct(private readonly JobBridge $bridge, private readonly ReplanJob $replan)
    {
    }

    /**
     * @param  Closure(array<string, mixed>): array<string, mixed>  $change
     * @param  int  $seen  id of the newest log entry the person had before them
     * @param  string  $field  the form's field for a fault
     *
     * @throws \Illuminate\Validation\ValidationException
     */
    public function handle(
        Job $job,
        User $user,
        Closure $change,
        string $reason,
        int $seen,
        string $field = 'facts',
    ): void {
        FieldFaults::asMessages(
            fn () => $this->replan->handle(
                $job,
                $user,
                [...$change($this->bridge->brief($job)), 'read_at' => BenchClock::stamp()],
                $reason,
                $seen,
            ),
            [],
            $field,
        );
    }
}
