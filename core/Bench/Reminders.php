<?php

declare(strict_types=1);

namespace Cobblestone\Bench;

use Cobblestone\Install\RollbackWindow;
use Cobblestone\Quantity\Moment;
use Cobblestone\Runbook\Progress;

/** What somebody has to be reminded of, and when: a wait for a person, the end of a way back (rules J10, I6). */
final class Reminders
{
    public const WAITING_FOR = [
        'owner' => 'the owner\'s answer',
        'part' => 'a part',
        'licence' => 'a licence',
        'pick-up' => 'pick-up',
    ];

    /** @return list<array{at: int, what: string}> earliest first, those already seen left out */
    public static function of(Progress $progress, string $zone): array
    {
        $reminders = [];
        $waiting = $progress->job->waiting;
        if ($waiting !== null && $waiting['remind'] !== null) {
            $reminders[] = [
                'at' => $waiting['remind'],
                'what' => 'waits for '.
                    (self::WAITING_FOR[$waiting['for']] ?? $waiting['for']).
                    ($waiting['text'] === '' ? '' : ": {$waiting['text']}"),
            ];
        }
        $window = self::rollback($progress, $zone);
        if ($window !== null && ! $progress->job->rollbackLost) {
            foreach ($window->reminders() as $moment) {
                $reminders[] = [
                    'at' => $moment->unix(),
                    'what' => "the upgrade can be taken back until {$window->deadline->spoken()}",
                ];
            }
        }
        usort($reminders, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);

        return array_values(
            array_filter(
                $reminders,
                static fn (array $reminder): bool => $reminder['at'] > $progress->job->remindedUntil,
            ),
        );
    }

    /** The way back of an upgrade that is done; null where there is none. */
    public static function rollback(Progress $progress, string $zone): ?RollbackWindow
    {
        $rollback = $progress->plan->rollback();
        $step = $rollback === null ? null : $progress->plan->step($rollback->step);
        $done = $step === null ? null : $progress->doneAt($step);

        return $rollback === null || $done === null
            ? null
            : RollbackWindow::from(Moment::ofUnix($done, $zone), $rollback->days);
    }
}
