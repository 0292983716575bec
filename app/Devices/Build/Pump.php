<?php

namespace App\Devices\Build;

use App\Devices\Command;
use App\Devices\Limits;
use Cobblestone\Storage\Reading\ByteSource;

/** Moves bytes between processes and files in large pieces, and watches processes that do it themselves. */
final class Pump
{
    public const PIECE = 1_048_576;

    /**
     * Linux's F_SETPIPE_SZ: a pipe of 1 MiB instead of 64 KiB saves most of the waiting between two programs. PHP has
     * no call for it; perl is part of every Debian.
     */
    private const WIDE_PIPE = ['perl', '-e', 'fcntl(STDOUT, 1031, 1048576); exec { $ARGV[0] } @ARGV or exit 127'];

    private const STOP = 19;

    private const GO_ON = 18;

    private const ENVIRONMENT = [
        'LC_ALL' => 'C.UTF-8',
        'PATH' => '/usr/sbin:/usr/bin:/sbin:/bin',
        'MTOOLS_SKIP_CHECK' => '1',
        'MTOOLSRC' => '/dev/null',
    ];

    /**
     * Starts a program with pipes; the second value holds the pipes that were asked for.
     *
     * @param  list<string>  $arguments
     * @param  resource|null  $input  an open stream taken as its standard input; null opens a pipe
     * @return array{0: resource, 1: array<int, resource>, 2: string} process, pipes, and the file its errors go to
     */
    public static function start(array $arguments, $input = null, bool $output = true): array
    {
        $errors = (string) tempnam(sys_get_temp_dir(), 'cobble-err');
        $process = proc_open(
            (new Limits())->around($output ? [...self::WIDE_PIPE, ...$arguments] : $arguments),
            [$input ?? ['pipe', 'r'], $output ? ['pipe', 'w'] : ['file', '/dev/null', 'w'], ['file', $errors, 'w']],
            $pipes,
            null,
            self::ENVIRONMENT,
        );
        if (! is_resource($process)) {
            throw BuildFailure::of('write', "{$arguments[0]} could not be started.");
        }

        return [$process, $pipes, $errors];
    }

    /**
     * Waits for a program, telling $seen how many bytes it has written so far.
     *
     * @param  resource  $process
     * @param  callable(int): void  $seen
     * @param  bool  $hold  whether the program stands still meanwhile
     */
    public static function watch($process, callable $seen, bool $hold = false): int
    {
        while (true) {
            $status = proc_get_status($process);
            if (! $status['running']) {
                proc_close($process);

                return $status['exitcode'];
            }
            try {
                $hold && proc_terminate($process, self::STOP);
                $seen(self::written($status['pid']));
                $hold && proc_terminate($process, self::GO_ON);
            } catch (BuildFailure $e) {
                proc_terminate($process, 9);
                proc_close($process);
                throw $e;
            }
            usleep(20_000);
        }
    }

    /**
     * SHA-256 of a run of pieces, hexadecimal.
     *
     * @param  iterable<string>  $pieces
     */
    public static function hash(iterable $pieces): string
    {
        [$process, $pipes, $errors] = self::start(['openssl', 'dgst', '-sha256', '-r']);
        try {
            foreach ($pieces as $piece) {
                fwrite($pipes[0], $piece);
            }
            fclose($pipes[0]);
            $printed = (string) stream_get_contents($pipes[1]);
        } finally {
            is_resource($pipes[0]) && fclose($pipes[0]);
            proc_close($process);
            @unlink($errors);
        }

        return substr($printed, 0, 64);
    }

    /**
     * SHA-256 of what a program prints, worked out beside this process; ask for it with the function that comes back.
     *
     * @param  list<string>  $arguments
     * @return callable(): string
     */
    public static function hashOf(array $arguments): callable
    {
        $null = fopen('/dev/null', 'rb') ?: throw BuildFailure::of('source', '/dev/null cannot be opened.');
        [$reader, $out, $errors] = self::start($arguments, $null);
        [$hasher, $printed, $hashErrors] = self::start(['openssl', 'dgst', '-sha256', '-r'], $out[1]);
        fclose($out[1]);

        return static function () use ($reader, $hasher, $printed, $errors, $hashErrors, $arguments): string {
            $text = (string) stream_get_contents($printed[1]);
            proc_close($hasher);
            $code = proc_close($reader);
            $words = Command::lastWords((string) file_get_contents($errors));
            @unlink($errors);
            @unlink($hashErrors);
            if ($code !== 0) {
                throw BuildFailure::of('source', "{$arguments[0]} could not read the image again: {$words}");
            }

            return substr($text, 0, 64);
        };
    }

    /** @return \Generator<int, string> the bytes of a source in pieces */
    public static function pieces(ByteSource $source, int $at, int $length): \Generator
    {
        while ($length > 0) {
            $piece = $source->read($at, min(self::PIECE, $length));
            if ($piece === '') {
                return;
            }
            yield $piece;
            $at += strlen($piece);
            $length -= strlen($piece);
        }
    }

    /** What the kernel says a process has written; 0 where it does not say. */
    private static function written(int $pid): int
    {
        $io = @file_get_contents("/proc/{$pid}/io");

        return $io !== false && preg_match('/^wchar: (\d+)$/m', $io, $match) === 1 ? (int) $match[1] : 0;
    }
}
