<?php

namespace App\Devices\Inspection;

use App\Devices\Command;
use Symfony\Component\Process\Process;

/** Compressed files opened by the utility that made them, as a stream without a copy. */
final class Expander
{
    /** Kind => arguments before the file. */
    private const PROGRAMS = [
        'gzip' => ['gzip', '-dc'],
        'bzip2' => ['bzip2', '-dc'],
        'xz' => ['xz', '-dc', '--memlimit-decompress=512MiB'],
        'zstd' => ['zstd', '-dcq', '--memory=512MB'],
        'zip' => ['7zz', 'x', '-so', '-tzip'],
    ];

    /** @return list<string> the arguments that print what is inside */
    public static function arguments(string $kind, string $path): array
    {
        return [...self::PROGRAMS[$kind], '--', $path];
    }

    public static function process(string $kind, string $path, ?float $seconds = null): Process
    {
        return Command::of(self::arguments($kind, $path), $seconds);
    }
}
