<?php

namespace Tests\Support;

use RuntimeException;
use Symfony\Component\Process\Process;

/** A process that a test starts beside itself, and the port it answers on. */
final class LocalProcess
{
    /** The built-in server's workers outlive their parent, so the whole process group (made by setsid) is ended. */
    public static function stop(?Process $process): void
    {
        if ($process !== null && ($pid = $process->getPid()) !== null) {
            posix_kill(-$pid, SIGTERM);
            $process->stop(3);
        }
    }

    public static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No free port.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }

    public static function waitFor(Process $process, int $port): void
    {
        for ($i = 0; $i < 1200; $i++) {
            if (! $process->isRunning()) {
                throw new RuntimeException('Did not start: '.$process->getCommandLine());
            }
            if ($socket = @fsockopen('127.0.0.1', $port, $code, $message, 0.2)) {
                fclose($socket);

                return;
            }
            usleep(50_000);
        }

        throw new RuntimeException("Nothing answers on port {$port}.");
    }
}
