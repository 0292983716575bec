<?php

declare(strict_types=1);

namespace App\Bridge;

use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickCondition;

/** One stick of the register, as a job sees it. */
final readonly class StickForJob
{
    /**
     * @param  Stick  $stick  as it is now
     * @param  list<string>|null  $lacks  what it lacks to be the job's stick as it is; null where nothing was built on
     *     it
     * @param  list<string>  $against  why it is not made into it
     * @param  bool  $proposed  whether it is the one to take
     */
    public function __construct(
        public Stick $stick,
        public StickCondition $condition,
        public ?array $lacks,
        public array $against,
        public bool $proposed,
    ) {
    }

    /** Whether it already is exactly what the job wants, and nobody else has it. */
    public function isReady(): bool
    {
        return $this->lacks === [] && $this->condition === StickCondition::Good && $this->stick->keptFor === null;
    }

    /** What it lacks as it is, in words. */
    public function asItIs(): string
    {
        return match (true) {
            $this->lacks === null => 'nothing was built on it here',
            $this->lacks === [] => 'what this job wants',
            default => implode('; ', $this->lacks),
        };
    }

    public function mayBeMade(): bool
    {
        return $this->stick->contentsMayGo && $this->stick->health !== 'retired'
            && $this->condition !== StickCondition::Retired;
    }
}
