<?php

declare(strict_types=1);

namespace App\Bridge;

/**
 * The bench's time as it is written into briefs and logs: local, with its offset, so that "today" is the bench's day.
 */
final class BenchClock
{
    /** "2026-07-01T00:30+01:00". */
    public static function stamp(): string
    {
        return now()->timezone((string) config('cobblestone.timezone'))->format('Y-m-d\TH:iP');
    }

    public static function day(): string
    {
        return substr(self::stamp(), 0, 10);
    }
}
