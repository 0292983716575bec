<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Runbook\Kind\SheetFacts;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;

/** The first sentence of the owner's sheet, in the words of the kind of job, from what was really done. */
final class IntroWords
{
    public static function of(Progress $progress): string
    {
        $job = $progress->plan->job;
        $holds = static fn (string $fact): bool => in_array($fact, $progress->facts(), true);

        return $job->kind->rules()->intro(new SheetFacts(
            $job,
            written: $holds(PathFact::SYSTEM_INSTALLED),
            proven: $holds(PathFact::STICK_PROVEN),
            // A sealed machine that is revived keeps its system; one that is restored gets it anew.
            revives: $progress->plan->step('install.revive') !== null,
        ));
    }
}
