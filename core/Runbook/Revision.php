<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** A new plan for a job under way: what is finished stays as it was done, the rest is as newly planned. */
final class Revision
{
    /**
     * @param  list<string>  $finished  ids of steps that fell away or are laid, in the order in which they were
     *
     * @throws OrderImpossible
     */
    public static function keeping(Plan $old, Plan $new, array $finished): Plan
    {
        $kept = array_values(
            array_filter($old->steps, static fn (Step $step): bool => in_array($step->id, $finished, true)),
        );
        if ($kept === []) {
            return $new;
        }
        $facts = HeldFacts::after($new->initial, array_filter(array_map($old->step(...), $finished)));
        $open = array_values(
            array_filter($new->steps, static fn (Step $step): bool => ! in_array($step->id, $finished, true)),
        );
        $open = array_values(array_filter(
            $open,
            static fn (Step $step): bool => ! self::isForNothing($step, $new, $finished),
        ));
        $open = [...$open, ...self::stillOwed($old, $kept, $open, $finished)];

        return $new->withSteps([...$kept, ...Planner::order($open, $facts)]);
    }

    /**
     * Whether a stone only writes the stick, and everything that would have waited for it is finished: the stick has
     * done its work.
     *
     * @param  list<string>  $finished
     */
    private static function isForNothing(Step $step, Plan $new, array $finished): bool
    {
        $waiting = array_filter(
            $new->steps,
            static fn (Step $other): bool => array_intersect($step->after, $other->before) !== [],
        );
        $open = array_filter($waiting, static fn (Step $other): bool => ! in_array($other->id, $finished, true));

        return $step->acts === [Act::WriteStick] && $waiting !== [] && $open === [];
    }

    /**
     * Steps that close a put-back entry which finished steps opened, where the new plan no longer has them.
     *
     * @param  list<Step>  $kept
     * @param  list<Step>  $open
     * @param  list<string>  $finished
     * @return list<Step>
     */
    private static function stillOwed(Plan $old, array $kept, array $open, array $finished): array
    {
        $present = array_map(static fn (Step $step): string => $step->id, $open);
        $owed = [];
        foreach ($kept as $step) {
            foreach ($step->opens as $entry) {
                $closing = $old->step($entry->closedBy);
                if (
                    $closing !== null &&
                    ! in_array($closing->id, [...$present, ...$finished, ...array_keys($owed)], true)
                ) {
                    $owed[$closing->id] = $closing;
                }
            }
        }

        return array_values($owed);
    }
}
