<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use RuntimeException;

/** What is kept of this job is that it was: nobody goes on with it. */
final class ContentsRemoved extends RuntimeException
{
    private function __construct(public readonly Job $job)
    {
        parent::__construct('The contents of this job were removed.');
    }

    /** @throws self */
    public static function check(Job $job): void
    {
        if ($job->owner_removed_at !== null) {
            throw new self($job);
        }
    }
}
