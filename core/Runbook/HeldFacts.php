<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Which facts hold on a path after some of its steps are done, in the order in which they were done. */
final class HeldFacts
{
    /**
     * @param  array<string, int>  $done  step => when
     * @param  list<string>  $waived  steps that fell away; what they would have brought about counts as settled
     * @return list<string>
     */
    public static function of(Plan $plan, array $done, array $waived): array
    {
        $facts = array_fill_keys($plan->initial, true);
        asort($done);
        foreach ([...$waived, ...array_keys($done)] as $id) {
            $step = $plan->step($id);
            foreach ($step->after ?? [] as $fact) {
                $facts[$fact] = true;
            }
            foreach ($step->removes ?? [] as $fact) {
                unset($facts[$fact]);
            }
        }

        return array_keys($facts);
    }
}
