<?php

namespace Tests\Support;

/**
 * Variable stores of a firmware's flash, built byte by byte or added to: for tests, and for emulated machines with
 * revocations of ours.
 */
final class KeyBench
{
    private const AUTHENTICATED = "\x78\x2C\xF3\xAA\x7B\x94\x9A\x43\xA1\x80\x2E\x14\x4E\xC3\x77\x92";

    /** EFI_IMAGE_SECURITY_DATABASE_GUID */
    private const SECURITY_DATABASE = "\xCB\xB2\x19\xD7\x3A\x3D\x96\x45\xA3\xBC\xDA\xD0\x0E\x67\x65\x6F";

    /** @param  list<array{0: string, 1: string, 2?: int}>  $variables  name, data, state */
    public static function store(array $variables): string
    {
        $body = '';
        foreach ($variables as $variable) {
            $body .= self::record($variable[0], $variable[1], $variable[2] ?? 0x3F);
            $body = str_pad($body, (strlen($body) + 3) & ~3, "\xFF");
        }
        $store =
            self::AUTHENTICATED.
            pack('VCCvV', 28 + strlen($body) + 64, 0x5A, 0xFE, 0, 0).
            $body.
            str_repeat("\xFF", 64);

        return str_repeat("\0", 40).'_FVH'.pack('V', 0).pack('v', 72).str_repeat("\0", 22).$store;
    }

    /** A copy of a firmware's flash file with one more list of revocations. */
    public static function revoking(string $flash, string $list): string
    {
        $at = unpack('v', substr($flash, 48, 2))[1] + 28;
        while (unpack('v', substr($flash, $at, 2))[1] === 0x55AA) {
            $sizes = unpack('Vname/Vdata', substr($flash, $at + 36, 8));
            $name = substr($flash, $at + 60, $sizes['name']);
            if ($name === mb_convert_encoding("dbx\0", 'UTF-16LE', 'UTF-8')) {
                // Deleted: the firmware goes on to the next one of that name.
                $flash[$at + 2] = chr(ord($flash[$at + 2]) & 0xFD);
            }
            $at = ($at + 60 + $sizes['name'] + $sizes['data'] + 3) & ~3;
        }

        return substr_replace($flash, $record = self::record('dbx', $list, 0x3F), $at, strlen($record));
    }

    private static function record(string $name, string $data, int $state): string
    {
        $wide = mb_convert_encoding("{$name}\0", 'UTF-16LE', 'UTF-8');

        // The time of an authenticated variable has to be one: 2026-01-01.
        return pack('vCCV', 0x55AA, $state, 0, 0x27).
            str_repeat("\0", 8).
            pack('vCCCCCCVvCC', 2026, 1, 1, 0, 0, 0, 0, 0, 0, 0, 0).
            pack('V', 0).
            pack('VV', strlen($wide), strlen($data)).
            self::SECURITY_DATABASE.
            $wide.
            $data;
    }
}
