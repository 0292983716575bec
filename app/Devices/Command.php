<?php

namespace App\Devices;

use RuntimeException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** A program of Debian's, called with an array of arguments and a fixed environment; never through a shell. */
final class Command
{
    private const ENVIRONMENT = ['LC_ALL' => 'C.UTF-8', 'PATH' => '/usr/sbin:/usr/bin:/sbin:/bin'];

    /** @param  list<string>  $arguments */
    public static function of(array $arguments, ?float $seconds = 60, ?string $input = null): Process
    {
        return new Process($arguments, null, self::ENVIRONMENT, $input, $seconds);
    }

    /**
     * Runs it to its end and gives what it printed.
     *
     * @param  list<string>  $arguments
     *
     * @throws RuntimeException where it fails, with its own last words
     */
    public static function run(array $arguments, ?float $seconds = 60, ?string $input = null): string
    {
        $process = self::of($arguments, $seconds, $input);
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            throw new RuntimeException(basename($arguments[0])." did not end within {$seconds} seconds.");
        }
        if (! $process->isSuccessful()) {
            throw new RuntimeException(basename($arguments[0]).': '.(self::lastWords($process->getErrorOutput().$process->getOutput()) ?: "ended with {$process->getExitCode()}"));
        }

        return $process->getOutput();
    }

    public static function lastWords(string $text): string
    {
        $lines = array_values(array_filter(array_map('trim', explode("\n", mb_scrub($text)))));

        return mb_substr(implode(' ', array_slice($lines, -3)), 0, 300);
    }
}
