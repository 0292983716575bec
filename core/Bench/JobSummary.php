<?php

declare(strict_types=1);

namespace Cobblestone\Bench;

use Cobblestone\Media\WantedFiles;
use Cobblestone\Media\WantedStick;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Shut;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\StepState;

/**
 * What bench and bell need to know of one job; moments are kept, never durations, so it stays true while time passes.
 */
final class JobSummary
{
    /**
     * @param  string  $zone  the bench's time zone, for deadlines that a calendar counts
     * @return array{verdict: string, questions: int, done: int, total: int, begun: bool, complete: bool,
     *   hands_left: float, walk_left: float, put_back: int,
     *   current: array{id: string, title: string, do: string, presence: string, state: string, one_way: bool,
     *     shut: list<array{word: string, reason: string}>, started_at: int|null, high: int}|null,
     *   away: list<array{id: string, title: string, started_at: int, likely: int, high: int}>,
     *   shut: list<array{word: string, reason: string}>,
     *   waiting: array{for: string, since: int, remind: int|null, text: string}|null,
     *   reminders: list<array{at: int, what: string}>,
     *   stick: array{id: string, until: string}|null}
     */
    public static function of(Progress $progress, string $zone = 'UTC'): array
    {
        $counted = self::counted($progress);
        $first = $progress->firstShut();

        return [
            'verdict' => $progress->plan->verdict()->value,
            'questions' => count($progress->asked()),
            'done' => $counted['done'],
            'total' => count($progress->plan->steps),
            'begun' => $counted['begun'],
            'complete' => $progress->isComplete(),
            'hands_left' => round($counted['hands'], 1),
            'walk_left' => round($counted['walk'], 1),
            'put_back' => count($progress->openPutBacks()),
            'current' => self::standing($progress->current(), $progress),
            'shut' => $first === null ? [] : self::shut($progress, $first),
            'away' => $counted['away'],
            'waiting' => $progress->job->waiting,
            'reminders' => Reminders::of($progress, $zone),
            'stick' => self::stick($progress),
        ];
    }

    /** @return array{id: string, until: string}|null the stick that it has in hand, and the stone that frees it */
    private static function stick(Progress $progress): ?array
    {
        $id = WantedStick::of($progress->plan)->stick ?? WantedFiles::of($progress->plan)?->stick;
        $until = $id === null || $progress->isComplete() ? null : StickStillWanted::until($progress);

        return $id === null || $until === null ? null : ['id' => $id, 'until' => $until->title];
    }

    /**
     * @return array{done: int, begun: bool, hands: float, walk: float,
     *   away: list<array{id: string, title: string, started_at: int, likely: int, high: int}>}
     */
    private static function counted(Progress $progress): array
    {
        $done = 0;
        $handsLeft = 0.0;
        $walkLeft = 0.0;
        $away = [];
        $begun = false;
        foreach ($progress->plan->steps as $step) {
            $state = $progress->state($step);
            $startedAt = $progress->startedAt($step);
            $begun = $begun || $startedAt !== null || in_array($state, [StepState::Done, StepState::Trouble], true);
            if ($state->isClosed()) {
                $done++;

                continue;
            }
            if ($step->presence === Presence::Hands) {
                $handsLeft += $step->time->likely->inMinutes();
            } else {
                $walkLeft += $step->time->likely->inMinutes();
            }
            if ($startedAt !== null && $progress->isAway($step)) {
                $away[] = self::running($step, $startedAt);
            }
        }

        return ['done' => $done, 'begun' => $begun, 'hands' => $handsLeft, 'walk' => $walkLeft, 'away' => $away];
    }

    /** @return array{id: string, title: string, started_at: int, likely: int, high: int} */
    private static function running(Step $step, int $startedAt): array
    {
        return [
            'id' => $step->id,
            'title' => $step->title,
            'started_at' => $startedAt,
            'likely' => $step->time->likely->seconds,
            'high' => $step->time->high->seconds,
        ];
    }

    /**
     * @return array{id: string, title: string, do: string, presence: string, state: string, one_way: bool,
     *     shut: list<array{word: string, reason: string}>, started_at: int|null, high: int}|null
     */
    private static function standing(?Step $current, Progress $progress): ?array
    {
        return $current === null || $progress->isAway($current)
                ? null
                : [
                    'id' => $current->id,
                    'title' => $current->title,
                    'do' => $current->instructions[0] ?? $current->title,
                    'presence' => $current->presence->value,
                    'state' => $progress->state($current)->value,
                    'one_way' => $current->isOneWay(),
                    'shut' => self::shut($progress, $current),
                    'started_at' => $progress->startedAt($current),
                    'high' => $current->time->high->seconds,
                ];
    }

    /** @return list<array{word: string, reason: string}> what shuts a stone itself */
    private static function shut(Progress $progress, Step $step): array
    {
        return array_map(
            static fn (Shut $shut): array => ['word' => $shut->kind->word(), 'reason' => $shut->reason],
            array_values(array_filter($progress->shut($step), static fn (Shut $shut): bool => $shut->isHere())),
        );
    }
}
