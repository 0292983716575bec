<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Catalogue\Symptom;

/** What stands beside a stone in run mode and comes from elsewhere than its path. */
final readonly class RunBeside
{
    /**
     * @param  list<StartLine>  $starts  power-ons of this stone as they are predicted
     * @param  list<array{job: int, slot: int|null, title: string, step: string, action: string, due: int,
     *     overdue: bool}>  $others  other jobs that need hands
     * @param  list<Symptom>  $symptoms  seen at this stone before
     * @param  DetourCard|null  $detour  the way round what went wrong here; null where nothing known did
     */
    public function __construct(
        public array $starts,
        public array $others,
        public array $symptoms,
        public ?DetourCard $detour = null,
    ) {
    }
}
