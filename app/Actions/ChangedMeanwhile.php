<?php

namespace App\Actions;

use App\Models\Job;
use App\Models\LogRecord;
use Illuminate\Support\Collection;
use RuntimeException;

/** Somebody else worked on the job since this person's page was made; nothing is overwritten silently. */
final class ChangedMeanwhile extends RuntimeException
{
    /** @param  Collection<int, LogRecord>  $entries what happened since */
    private function __construct(public readonly Job $job, public readonly Collection $entries)
    {
        parent::__construct('This job changed while you were looking at it.');
    }

    /** @throws self */
    public static function check(Job $job, int $seen): void
    {
        if ($seen === $job->last_entry) {
            return;
        }
        // Nobody has seen what is not written yet: such a number says nothing of what was before them.
        $seen = $seen > $job->last_entry ? 0 : $seen;
        $since = LogRecord::query()
            ->with('user')
            ->where('job_id', $job->id)
            ->where('id', '>', $seen)
            ->where('kind', '!=', 'note')
            ->get()
            ->sortBy('id')
            ->take(-40);
        if ($since->isNotEmpty()) {
            throw new self($job, $since);
        }
    }
}
