<?php

namespace Tests\Support;

use Closure;

/** What this process and the tools it ran have worked: others that run beside it do not count. */
final class Worked
{
    /** Processor seconds that the measure takes on a calm bench computer. */
    private const MEASURE = 0.06;

    /** Seconds of the processor's time, system calls included. */
    public static function seconds(): float
    {
        $seconds = 0.0;
        foreach ([0, 1] as $ofChildren) {
            $used = getrusage($ofChildren) ?: [];
            $seconds += $used['ru_utime.tv_sec'] + $used['ru_stime.tv_sec']
                + ($used['ru_utime.tv_usec'] + $used['ru_stime.tv_usec']) / 1_000_000;
        }

        return $seconds;
    }

    /**
     * Processor seconds that $work takes on a calm bench computer. A busy or slow machine takes longer for the same, so
     * a piece of work whose length is known is measured just before and just after, and what was measured is divided
     * by how much longer that took.
     */
    public static function calmly(Closure $work): float
    {
        $before = self::slowness();
        $begun = self::seconds();
        $work();
        $worked = self::seconds() - $begun;

        return $worked / max(1.0, $before, self::slowness());
    }

    /** How many times as long as on a calm computer the same work takes at this moment. */
    public static function slowness(): float
    {
        $begun = self::seconds();
        $bytes = str_repeat('cobblestone', 95_000);
        for ($round = 0; $round < 5; $round++) {
            $bytes = hash('sha256', $bytes).substr($bytes, 64);
            $counts = [];
            for ($i = 0; $i < 60_000; $i++) {
                $counts[$i % 251] = ($counts[$i % 251] ?? 0) + strlen("{$i}");
            }
        }

        return (self::seconds() - $begun) / self::MEASURE;
    }
}
