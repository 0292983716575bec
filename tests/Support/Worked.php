<?php

namespace Tests\Support;

/** What this process and the tools it ran have worked: others that run beside it do not count. */
final class Worked
{
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
}
