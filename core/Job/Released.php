<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Brief\ReleasedGuard;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\LookedAt;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** What was released on the way so that a stone could be laid: its entry, and the stone that puts it back (rule J4). */
final class Released
{
    /**
     * @param  list<Step>  $steps
     * @param  list<ReleasedGuard>  $released
     * @return list<Step>
     */
    public static function on(array $steps, array $released): array
    {
        foreach ($released as $guard) {
            $opener = self::opener($steps, $guard->step);
            if ($opener === null) {
                continue;
            }
            $entry = self::entry($guard);
            $steps = array_map(
                static fn (Step $step): Step => $step->id === $opener->id
                    ? $step->with(['opens' => [...$step->opens, $entry]])
                    : $step,
                $steps,
            );
            $steps[] = self::puttingBack($guard, $opener);
        }

        return $steps;
    }

    /**
     * The same for a path whose last stone is its own: it waits for what was released.
     *
     * @param  list<Step>  $steps
     * @param  list<ReleasedGuard>  $released
     * @return list<Step>
     */
    public static function onMedium(array $steps, array $released): array
    {
        $gates = array_map(static fn (ReleasedGuard $guard): Gate => new Gate(
            "put-back-{$guard->id}",
            PathFact::putBack($guard->id),
            "Put back: {$guard->what}",
            self::id($guard),
        ), $released);

        return array_map(
            static fn (Step $step): Step => in_array(Act::HandOver, $step->acts, true)
                ? $step->with(['gates' => [...$step->gates, ...$gates]])
                : $step,
            self::on($steps, $released),
        );
    }

    /**
     * Where the stone has left the path, the first one stands for it: what was released stays released.
     *
     * @param  list<Step>  $steps
     */
    private static function opener(array $steps, string $wanted): ?Step
    {
        foreach ($steps as $step) {
            if ($step->id === $wanted) {
                return $step;
            }
        }

        return $steps[0] ?? null;
    }

    private static function entry(ReleasedGuard $guard): PutBack
    {
        return new PutBack($guard->id, $guard->what, $guard->why, self::id($guard));
    }

    private static function id(ReleasedGuard $guard): string
    {
        return "put-back.{$guard->id}";
    }

    private static function puttingBack(ReleasedGuard $guard, Step $opener): Step
    {
        return new Step(
            self::id($guard),
            Stage::PutBack,
            "Put back: {$guard->what}",
            Presence::Hands,
            Estimate::minutes(0.5, 1, 3),
            ["{$guard->what}: put it back now, and look that it is so."],
            before: $opener->after,
            after: [PathFact::putBack($guard->id)],
            needs: ['hands'],
            because: [new Reason("It was released: {$guard->why}", 'J4, M11')],
            evidence: [LookedAt::as(
                "{$guard->what}: looked at, it is so",
                'Put it back first; what stays is the lead\'s to accept.',
            )],
        );
    }
}
