<?php

declare(strict_types=1);

namespace App\Bridge;

/** A problem that was ended, with what it was and what helped in somebody's words (rule L1). */
final readonly class Incident
{
    /**
     * @param  int  $entry  of the log, that ended it
     * @param  string|null  $symptom  identifier, where the index holds what was seen
     * @param  string  $seen  what was seen, in words
     * @param  string  $fix  empty where nobody said
     * @param  int  $minutes  from when it was noted until it was ended
     */
    public function __construct(
        public int $entry,
        public int $job,
        public string $step,
        public ?string $symptom,
        public string $seen,
        public string $cause,
        public string $fix,
        public int $minutes,
        public string $by,
    ) {
    }
}
