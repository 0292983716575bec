<?php

namespace App\Devices;

use RuntimeException;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;

/**
 * A program of Debian's, called with an array of arguments and a fixed environment, within limits; never through a
 * shell.
 */
final class Command
{
    private const ENVIRONMENT = ['LC_ALL' => 'C.UTF-8', 'PATH' => '/usr/sbin:/usr/bin:/sbin:/bin'];

    private const MEANWHILE_MICROSECONDS = 100_000;

    /** @param  list<string>  $arguments */
    public static function of(
        array $arguments,
        ?float $seconds = 60,
        ?string $input = null,
        Limits $limits = new Limits(),
    ): LimitedProcess {
        return new LimitedProcess($limits->around($arguments), null, self::ENVIRONMENT, $input, $seconds);
    }

    /**
     * Runs it to its end and gives what it printed.
     *
     * @param  list<string>  $arguments
     * @param  (callable(): void)|null  $meanwhile  asked again and again while it runs; what it throws ends the program
     *
     * @throws RuntimeException where it fails, with its own last words, or goes beyond its limits
     */
    public static function run(
        array $arguments,
        ?float $seconds = 60,
        ?string $input = null,
        Limits $limits = new Limits(),
        ?callable $meanwhile = null,
    ): string {
        $name = basename($arguments[0]);
        $process = self::of($arguments, $seconds, $input, $limits);
        $printed = 0;
        try {
            $process->start(static function (string $type, string $piece) use (&$printed, $limits, $process): void {
                $printed += strlen($piece);
                if ($printed > $limits->output) {
                    $process->stop(0);
                }
            });
            self::await($process, $meanwhile);
        } catch (ProcessTimedOutException) {
            throw new RuntimeException("{$name} did not end within {$seconds} seconds.");
        } catch (ProcessSignaledException $e) {
            if ($printed <= $limits->output) {
                throw new RuntimeException(
                    "{$name} was ended by the computer "
                        ."(signal {$e->getSignal()}): it used more than it may, or somebody ended it.",
                );
            }
        } finally {
            $process->stop(0);
        }
        if ($printed > $limits->output) {
            throw new RuntimeException("{$name} printed without end and was stopped.");
        }
        if (! $process->isSuccessful()) {
            throw new RuntimeException("{$name}: ".self::said($process));
        }

        return $process->getOutput();
    }

    private static function said(LimitedProcess $process): string
    {
        return self::lastWords($process->getErrorOutput().$process->getOutput())
            ?: "ended with {$process->getExitCode()}";
    }

    /** @param  (callable(): void)|null  $meanwhile */
    private static function await(LimitedProcess $process, ?callable $meanwhile): void
    {
        while ($meanwhile !== null && $process->isRunning()) {
            $process->checkTimeout();
            $process->giveWay();
            $meanwhile();
            usleep(self::MEANWHILE_MICROSECONDS);
        }
        $process->wait();
    }

    public static function lastWords(string $text): string
    {
        $lines = array_values(array_filter(array_map('trim', explode("\n", mb_scrub(substr($text, -4000))))));

        return mb_substr(implode(' ', array_slice($lines, -3)), 0, 300);
    }
}
