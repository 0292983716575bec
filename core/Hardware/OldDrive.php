<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Machine\Drive;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Question;

/** The drive that comes out of a machine, or what has to be known to name it (rules I1, K2). */
final readonly class OldDrive
{
    /**
     * @param  list<Question>  $questions
     * @param  list<Blocker>  $blockers
     */
    public function __construct(public ?Drive $drive, public array $questions, public array $blockers)
    {
    }
}
