<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Install\RollbackWindow;
use Cobblestone\Quantity\Moment;
use Cobblestone\Runbook\Progress;

/** The days of a job that go into a calendar: the last one for the way back, and the end of the copy (rules I6, L4). */
final class HandoverDates
{
    /**
     * @param  string  $zone  of the bench
     * @return list<HandoverDate>
     */
    public static function of(Progress $progress, string $zone): array
    {
        return [...self::wayBack($progress, $zone), ...self::copyGoes($progress)];
    }

    /** @return list<HandoverDate> */
    private static function wayBack(Progress $progress, string $zone): array
    {
        $rollback = $progress->plan->rollback();
        $done = $rollback === null ? null : $progress->laidBy($rollback->step)?->at;
        if ($rollback === null || $done === null || $progress->job->rollbackLost) {
            return [];
        }
        $last = RollbackWindow::from(Moment::ofUnix($done, $zone), $rollback->days)->deadline;

        return [new HandoverDate(
            'way-back',
            $last->day(),
            "Last day to take the upgrade of {$progress->plan->job->machine} back",
            'Do not remove the old system\'s folder before.',
        )];
    }

    /** @return list<HandoverDate> */
    private static function copyGoes(Progress $progress): array
    {
        $day = $progress->evidence()['hand-over.give-back']['delete_by'] ?? '';

        return preg_match('/^\d{4}-\d\d-\d\d$/', $day) !== 1 ? [] : [new HandoverDate(
            'copy',
            $day,
            "The bench deletes its copy of the files of {$progress->plan->job->machine}",
            'Look through your own files before.',
        )];
    }
}
