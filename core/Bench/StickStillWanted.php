<?php

declare(strict_types=1);

namespace Cobblestone\Bench;

use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;

/** Whether a job still takes its stick in hand: until the last stone that wants it, or takes it out, is laid. */
final class StickStillWanted
{
    public static function by(Progress $progress): bool
    {
        return self::until($progress) !== null;
    }

    /** The stone that frees it, once it is laid; null where no open stone takes it any more. */
    public static function until(Progress $progress): ?Step
    {
        $last = null;
        foreach ($progress->plan->steps as $step) {
            $takes = in_array('stick', $step->needs, true) || in_array(PathFact::STICK_OUT, $step->after, true);
            if ($takes && ! $progress->state($step)->isClosed()) {
                $last = $step;
            }
        }

        return $last;
    }
}
