<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/**
 * The one place that decides which stones are shut: blockers and holding questions become gates of the steps they
 * cover (rule K1).
 */
final class Holds
{
    /**
     * @param  list<Step>  $steps
     * @param  list<Blocker>  $blockers
     * @param  list<Question>  $questions  all of them, also those that are asked later
     * @return list<Step>
     */
    public static function on(array $steps, array $blockers, array $questions): array
    {
        return array_map(static function (Step $step) use ($blockers, $questions): Step {
            foreach ($blockers as $blocker) {
                $step = $blocker->covers($step) ? self::gated($step, $blocker->gate()) : $step;
            }
            foreach ($questions as $question) {
                $step = $question->covers($step) ? self::gated($step, $question->gate()) : $step;
            }

            return $step;
        }, $steps);
    }

    private static function gated(Step $step, Gate $gate): Step
    {
        foreach ($step->gates as $present) {
            if ($present->id === $gate->id) {
                return $step;
            }
        }

        return $step->gated($gate);
    }
}
