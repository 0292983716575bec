<?php

declare(strict_types=1);

namespace App\Devices;

use Symfony\Component\Process\Process;

/** A process that is ended together with its children: it leads a group of its own (see Limits). */
final class LimitedProcess extends Process
{
    private bool $gaveWay = false;

    public function stop(float $timeout = 10, ?int $signal = null): ?int
    {
        $pid = $this->getPid();
        if ($pid !== null && $pid > 1) {
            @posix_kill(-$pid, SIGKILL);
        }

        return parent::stop($timeout, $signal);
    }

    /**
     * What gives way to the pages starts what gives way too. The kernel may share the processors out by session, and
     * how patient a process is then counts within its session alone: this one is a session of its own. Said while it
     * runs, as often as one likes: the kernel listens ten times a second.
     */
    public function giveWay(): void
    {
        $patience = function_exists('pcntl_getpriority') ? (int) pcntl_getpriority() : 0;
        $group = "/proc/{$this->getPid()}/autogroup";
        if ($this->gaveWay || $patience <= 0 || ! $this->leads() || ! is_file($group)) {
            return;
        }
        $this->gaveWay = @file_put_contents($group, (string) $patience) !== false;
    }

    /** Before it does, its session is that of whoever started it. */
    private function leads(): bool
    {
        $pid = $this->getPid();

        return $pid !== null && @posix_getsid($pid) === $pid;
    }
}
