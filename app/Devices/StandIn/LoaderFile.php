<?php

namespace App\Devices\StandIn;

/**
 * A boot loader of the demo world: a real, tiny UEFI program that prints one line and waits.
 * It lets demo images be inspected, signed and started like any other.
 */
final class LoaderFile
{
    /** What the demo world's own loaders end their line with, and nothing else prints. */
    public const WELCOME = '(stand-in): it started.';

    private const FILE_ALIGNMENT = 512;

    private const SECTION_ALIGNMENT = 4096;

    private const HEADERS = 1024;

    /**
     * @param  int  $machine  PE machine type; only 0x8664 carries code that runs
     * @param  array<string, string>  $sections  further sections, name => bytes
     */
    public static function make(
        string $line,
        int $machine = 0x8664,
        array $sections = [],
        int $subsystem = 10,
    ): string {
        return self::program(self::code($line), $machine, $sections, $subsystem);
    }

    /**
     * A program around code that needs no address moved.
     *
     * @param  string  $code  entered at its first byte
     * @param  array<string, string>  $sections  further ones, name => bytes
     * @param  int  $access  what may be done with the code's section: the flags of a PE section
     */
    public static function program(
        string $code,
        int $machine = 0x8664,
        array $sections = [],
        int $subsystem = 10,
        int $access = 0x6000_0020,
    ): string {
        $all = ['.text' => $code, ...$sections];
        $headers = $bodies = '';
        [$at, $virtual] = [self::HEADERS, self::SECTION_ALIGNMENT];
        foreach ($all as $name => $bytes) {
            $raw = str_pad($bytes, self::up(strlen($bytes), self::FILE_ALIGNMENT), "\0");
            $headers .=
                str_pad(substr($name, 0, 8), 8, "\0").
                pack('V4', strlen($bytes), $virtual, strlen($raw), $at).
                pack('VVvvV', 0, 0, 0, 0, $name === '.text' ? $access : 0x4000_0040);
            $bodies .= $raw;
            $at += strlen($raw);
            $virtual += self::up(strlen($bytes), self::SECTION_ALIGNMENT);
        }
        $coff = pack('vvVVVvv', $machine, count($all), 0, 0, 0, 112 + 16 * 8, 0x0206);
        $optional =
            pack('vCCV5', 0x20B, 14, 0, strlen($code), 0, 0, self::SECTION_ALIGNMENT, self::SECTION_ALIGNMENT).
            pack('PVV', 0x40_0000, self::SECTION_ALIGNMENT, self::FILE_ALIGNMENT).
            pack('v6', 0, 0, 0, 0, 0, 0).
            pack('V4', 0, $virtual, self::HEADERS, 0).
            pack('vv', $subsystem, 0).
            pack('P4', 0x10_0000, 0x1000, 0x10_0000, 0x1000).
            pack('VV', 0, 16).
            str_repeat("\0", 128);

        return str_pad(
            'MZ'.str_repeat("\0", 58).pack('V', 64)."PE\0\0".$coff.$optional.$headers,
            self::HEADERS,
            "\0",
        ).$bodies;
    }

    /** sub rsp,28h · mov rcx,[rdx+40h] (ConOut) · lea rdx,[rip+line] · call [rcx+8] (OutputString) · hlt, again */
    private static function code(string $line): string
    {
        return "\x48\x83\xEC\x28\x48\x8B\x4A\x40\x48\x8D\x15\x06\x00\x00\x00\xFF\x51\x08\xF4\xEB\xFD".
            mb_convert_encoding("\r\n{$line}\r\n", 'UTF-16LE', 'UTF-8').
            "\0\0";
    }

    private static function up(int $value, int $to): int
    {
        return intdiv($value + $to - 1, $to) * $to;
    }
}
