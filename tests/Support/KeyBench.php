<?php

namespace Tests\Support;

use Cobblestone\Boot\Keys\StoreEdit;

/**
 * Variable stores of a firmware's flash, built byte by byte or added to: for tests, and for emulated machines with
 * revocations of ours.
 */
final class KeyBench
{
    private const AUTHENTICATED = "\x78\x2C\xF3\xAA\x7B\x94\x9A\x43\xA1\x80\x2E\x14\x4E\xC3\x77\x92";

    /** @param  list<array{0: string, 1: string, 2?: int}>  $variables  name, data, state */
    public static function store(array $variables): string
    {
        $body = '';
        foreach ($variables as $variable) {
            $body .= StoreEdit::record($variable[0], $variable[1], $variable[2] ?? StoreEdit::ADDED);
            $body = str_pad($body, (strlen($body) + 3) & ~3, "\xFF");
        }
        $store =
            self::AUTHENTICATED.
            pack('VCCvV', 28 + strlen($body) + 64, 0x5A, 0xFE, 0, 0).
            $body.
            str_repeat("\xFF", 64);

        return str_repeat("\0", 40).'_FVH'.pack('V', 0).pack('v', 72).str_repeat("\0", 22).$store;
    }

    /** A copy of a firmware's flash file with other revocations. */
    public static function revoking(string $flash, string $list): string
    {
        return StoreEdit::with($flash, 'dbx', $list);
    }
}
