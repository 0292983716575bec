<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Which facts hold on a path after some of its steps are done (rule S: a fact holds until a step takes it away). */
final class HeldFacts
{
    /**
     * @param  list<string>  $initial  facts that hold before anything is done
     * @param  iterable<Step>  $steps  what is done or fell away, in that order
     * @return list<string>
     */
    public static function after(array $initial, iterable $steps): array
    {
        $facts = array_fill_keys($initial, true);
        foreach ($steps as $step) {
            foreach ($step->after as $fact) {
                $facts[$fact] = true;
            }
            foreach ($step->removes as $fact) {
                unset($facts[$fact]);
            }
        }

        return array_keys($facts);
    }
}
