<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/**
 * Puts steps in one order so that every step's facts hold when it is reached.
 *
 * The order follows from before- and after-facts alone. A step that removes a fact comes after all that need it.
 * A fact that only an answer brings about holds no order: its gate opens with the plan that the answer makes.
 * Where facts leave a choice, the stage decides, then the order in which the parts contributed.
 */
final class Planner
{
    /**
     * @param  list<Step>  $steps
     * @param  list<string>  $initial  facts that hold at the start
     * @return list<Step>
     *
     * @throws OrderImpossible
     */
    public static function order(array $steps, array $initial = []): array
    {
        $byId = [];
        foreach ($steps as $step) {
            if (isset($byId[$step->id])) {
                throw OrderImpossible::twice($step->id);
            }
            $byId[$step->id] = $step;
        }
        $waitsFor = self::edges($byId, $initial);
        $rank = [];
        foreach ($steps as $index => $step) {
            $rank[$step->id] = [$step->stage->order(), $index];
        }
        $ordered = [];
        while ($waitsFor !== []) {
            $next = null;
            foreach ($waitsFor as $id => $predecessors) {
                if ($predecessors === [] && ($next === null || $rank[$id] < $rank[$next])) {
                    $next = $id;
                }
            }
            if ($next === null) {
                throw OrderImpossible::cycle(self::cycleIn($waitsFor));
            }
            $ordered[] = $byId[$next];
            unset($waitsFor[$next]);
            foreach ($waitsFor as $id => $predecessors) {
                unset($waitsFor[$id][$next]);
            }
        }

        return $ordered;
    }

    /**
     * @param  array<string, Step>  $steps
     * @param  list<string>  $initial
     * @return array<string, array<string, true>> step => the steps it waits for
     */
    private static function edges(array $steps, array $initial): array
    {
        $producers = [];
        foreach ($steps as $step) {
            foreach ($step->after as $fact) {
                $producers[$fact][] = $step->id;
            }
        }
        $edges = array_fill_keys(array_keys($steps), []);
        foreach ($steps as $step) {
            foreach ($step->required() as $fact) {
                if (! isset($producers[$fact]) && ! in_array($fact, $initial, true) && ! PathFact::isAnswer($fact)) {
                    throw OrderImpossible::unmeetable($step->id, $fact);
                }
                foreach ($producers[$fact] ?? [] as $producer) {
                    $edges[$step->id][$producer] = true;
                }
            }
            foreach ($step->removes as $fact) {
                foreach ($steps as $other) {
                    if (
                        $other->id !== $step->id &&
                        (in_array($fact, $other->required(), true) || in_array($fact, $other->after, true))
                    ) {
                        $edges[$step->id][$other->id] = true;
                    }
                }
            }
        }

        return $edges;
    }

    /**
     * @param  non-empty-array<string, array<string, true>>  $waitsFor
     * @return list<string>
     */
    private static function cycleIn(array $waitsFor): array
    {
        $seen = [];
        $id = array_key_first($waitsFor);
        while (! isset($seen[$id])) {
            $seen[$id] = count($seen);
            $id = (string) array_key_first($waitsFor[$id]);
        }

        return [...array_slice(array_keys($seen), $seen[$id]), $id];
    }
}
