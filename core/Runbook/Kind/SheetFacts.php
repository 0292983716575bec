<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

use Cobblestone\Runbook\PlannedJob;

/** What the first sentence of the owner's sheet is made from. */
final readonly class SheetFacts
{
    /**
     * @param  bool  $written  whether the wanted system has started from its drive
     * @param  bool  $proven  whether the stick was read back
     * @param  bool  $revives  whether a sealed machine keeps its system
     */
    public function __construct(
        public PlannedJob $job,
        public bool $written,
        public bool $proven,
        public bool $revives,
    ) {
    }

    /** "Norrel Fairlead 13, for the crew office." */
    public function machine(): string
    {
        return "{$this->job->machine}, for {$this->job->owner}.";
    }

    public function system(): string
    {
        return trim(($this->job->system ?? 'a system')." {$this->job->edition}");
    }

    /** "It now carries Tansy Desktop 7", or what it is to carry. */
    public function carries(): string
    {
        return ($this->written ? 'It now carries ' : 'It is to carry ').$this->system();
    }
}
