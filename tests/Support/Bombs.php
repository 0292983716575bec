<?php

namespace Tests\Support;

use Symfony\Component\Process\Process;
use ZipArchive;

/** Small files that grow without measure when somebody opens them. */
final class Bombs
{
    /**
     * An optical image (ISO 9660) whose every folder holds two names for the next one: 2^depth paths in a few
     * kilobytes.
     */
    public static function doublingTree(string $file, int $depth = 220): void
    {
        $first = 20;
        $both = static fn (int $number): string => pack('V', $number).pack('N', $number);
        $record = static function (string $name, int $sector, int $flags = 2) use ($both): string {
            $body =
                "\0".
                $both($sector).
                $both(2048).
                "\x7E\x0B\x1C\x0E\x00\x00\x00".
                chr($flags).
                "\0\0".
                pack('v', 1).
                pack('n', 1).
                chr(strlen($name)).
                $name.
                (strlen($name) % 2 === 0 ? "\0" : '');

            return chr(strlen($body) + 1).$body;
        };
        $folder = static fn (int $own, int $next): string => str_pad(
            $record("\0", $own).$record("\1", $own).$record('A', $next).$record('B', $next),
            2048,
            "\0",
        );
        $volume =
            "\x01CD001\x01\0".
            str_pad('', 32).
            str_pad('DOUBLING', 32).
            str_repeat("\0", 8).
            $both($first + $depth + 1).
            str_repeat("\0", 32).
            pack('v', 1).
            pack('n', 1).
            pack('v', 1).
            pack('n', 1).
            pack('v', 2048).
            pack('n', 2048).
            $both(10).
            pack('V', 18).
            pack('V', 0).
            pack('N', 19).
            pack('N', 0).
            $record("\0", $first);
        $table = str_pad("\1\0".pack('V', $first).pack('v', 1)."\0\0", 2048, "\0");
        $bytes =
            str_repeat("\0", 16 * 2048).
            str_pad(str_pad($volume, 881, ' ')."\1", 2048, "\0").
            str_pad("\xFFCD001\x01", 2048, "\0").
            $table.
            $table;
        for ($i = 0; $i < $depth; $i++) {
            $bytes .= $folder($first + $i, $first + $i + 1);
        }
        file_put_contents(
            $file,
            $bytes.str_pad($record("\0", $first + $depth).$record("\1", $first + $depth), 2048, "\0"),
        );
    }

    /** Zeros in that kind of compression: 500 MB in a few kilobytes, many times what is looked at. */
    public static function zeros(string $kind, string $file): void
    {
        $program =
            ['gzip' => 'gzip -1', 'bzip2' => 'bzip2 -1', 'xz' => 'xz -0', 'zstd' => 'zstd -q -1'][$kind] ?? null;
        if ($program !== null) {
            Process::fromShellCommandline(
                "head -c 500000000 /dev/zero | {$program} >".escapeshellarg($file),
                timeout: 120,
            )->mustRun();

            return;
        }
        Process::fromShellCommandline('head -c 400000000 /dev/zero >'.escapeshellarg("{$file}.raw"))->mustRun();
        $zip = new ZipArchive();
        $zip->open($file, ZipArchive::CREATE);
        $zip->addFile("{$file}.raw", 'inside.img');
        $zip->close();
        unlink("{$file}.raw");
    }
}
