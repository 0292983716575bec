<?php

declare(strict_types=1);

namespace Cobblestone\Bench;

use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;

/** Whether a job still takes its stick in hand: until the last stone that wants it, or takes it out, is laid. */
final class StickStillWanted
{
    public static function by(Progress $progress): bool
    {
        foreach ($progress->plan->steps as $step) {
            $takes = in_array('stick', $step->needs, true) || in_array(PathFact::STICK_OUT, $step->after, true);
            if ($takes && ! $progress->state($step)->isClosed()) {
                return true;
            }
        }

        return false;
    }
}
