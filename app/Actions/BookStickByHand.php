<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use App\Models\StickEvent;
use App\Models\StickState;
use App\Models\User;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\WantedStick;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;

/**
 * A stick that somebody wrote by hand at a stone is no more what the register had of it: until it is read back it is
 * unfinished, and then it is what that person says (rule M12).
 */
final class BookStickByHand
{
    public static function laid(Job $job, User $user, Step $step): void
    {
        $read = in_array(PathFact::STICK_PROVEN, $step->after, true);
        $written = in_array(PathFact::STICK_WRITTEN, $step->after, true);
        $stick = $read || $written ? WantedStick::of($job->currentPlan()->typed()) : null;
        if ($stick?->stick === null || self::isBuiltFor($job, $stick->stick)) {
            return;
        }
        $title = "{$stick->image}, by hand for job {$job->id}";
        StickState::become(
            $stick->stick,
            $read ? StickCondition::ByHand : StickCondition::Unfinished,
            ['title' => $title, 'job' => $job->id],
        );
        StickEvent::note($stick->stick, $read ? 'read-by-hand' : 'by-hand', ['title' => $title], $user->id);
    }

    /** What was said at a stone does not count any more: what is on the stick is not known. */
    public static function takenBack(Job $job, User $user, ?Step $step): void
    {
        $said = array_intersect($step->after ?? [], [PathFact::STICK_WRITTEN, PathFact::STICK_PROVEN]);
        $stick = $said === [] ? null : WantedStick::of($job->currentPlan()->typed())?->stick;
        if ($stick === null || (StickState::of($stick)->content['job'] ?? null) !== $job->id) {
            return;
        }
        if (! self::isBuiltFor($job, $stick)) {
            $content = ['title' => "written by hand for job {$job->id}", 'job' => $job->id];
            StickState::become($stick, StickCondition::Unfinished, $content);
            StickEvent::note($stick, 'hand-undone', ['title' => "job {$job->id}"], $user->id);
        }
    }

    private static function isBuiltFor(Job $job, string $stick): bool
    {
        $state = StickState::of($stick);

        return $state->condition === StickCondition::Good && ($state->content['job'] ?? null) === $job->id;
    }
}
