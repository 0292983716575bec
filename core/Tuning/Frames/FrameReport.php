<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Frames;

/** What was counted, with every input that it came from, so that whoever reads it can count again (rule T3). */
final class FrameReport
{
    /** @return array<string, mixed> rates in frames a second, figures those of each run or second */
    public static function of(FrameRun $now, ?FrameRun $then = null): array
    {
        $comparison = $then === null ? null : FrameComparison::of($then, $now);

        return [
            ...self::run($now),
            'comparable' => $comparison?->isComparable(),
            'why' => $comparison === null ? [] : $comparison->why,
            'change' => $comparison?->change(),
            'against' => $then === null ? null : self::run($then),
        ];
    }

    /** @return array<string, mixed> */
    private static function run(FrameRun $run): array
    {
        $interval = $run->interval();

        return [
            'frames' => $run->frames,
            'seconds' => round($run->seconds, 3),
            'rate' => round($run->rate, 2),
            'low_1_percent' => round($run->low, 2),
            'interval' => $interval === null
                ? null
                : array_map(static fn (float $one): float => round($one, 2), $interval),
            'runs' => count($run->logs),
            'logs' => $run->logs,
            'figures' => array_map(static fn (float $one): float => round($one, 3), $run->figures),
            'settings' => $run->settings->picture,
            'power' => $run->settings->power,
            'notes' => $run->notes,
        ];
    }
}
