<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Route;

use Cobblestone\Catalogue\Rung;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Question;

/** Which way to take, why each gentler one is out, and what would change it most (rule A3). */
final readonly class RouteAdvice
{
    /**
     * @param  Rung|null  $rung  null where nothing on the ladder can work
     * @param  list<WeighedRung>  $ladder
     * @param  Question|null  $settles  the one answer that would change the advice most
     * @param  bool  $provisional  whether a gentler rung is still possible
     */
    public function __construct(
        public ?Rung $rung,
        public array $ladder,
        public ?Question $settles,
        public bool $provisional,
        public Decision $decision,
    ) {
    }

    public function found(): RouteFound
    {
        return new RouteFound(
            $this->rung?->id,
            $this->rung?->title,
            $this->provisional,
            $this->ladder,
            $this->settles,
        );
    }
}
