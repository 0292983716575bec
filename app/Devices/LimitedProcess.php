<?php

declare(strict_types=1);

namespace App\Devices;

use Symfony\Component\Process\Process;

/** A process that is ended together with its children: it leads a group of its own (see Limits). */
final class LimitedProcess extends Process
{
    public function stop(float $timeout = 10, ?int $signal = null): ?int
    {
        $pid = $this->getPid();
        if ($pid !== null && $pid > 1) {
            @posix_kill(-$pid, SIGKILL);
        }

        return parent::stop($timeout, $signal);
    }
}
