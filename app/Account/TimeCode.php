<?php

declare(strict_types=1);

namespace App\Account;

/**
 * Time-based one-time codes: RFC 6238 over HMAC-SHA-1 with steps of 30 s and six digits, as every authenticator reads
 * them.
 * A code of the step before and of the step after counts too, because clocks differ (section 5.2).
 */
final class TimeCode
{
    public const SECONDS = 30;

    private const DIGITS = 6;

    /** RFC 4648, section 6. */
    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** A new secret of 160 bits, in base 32. */
    public static function secret(): string
    {
        return self::base32(random_bytes(20));
    }

    /** @param  int  $step  number of the 30 s since 1970 */
    public static function at(string $secret, int $step, int $digits = self::DIGITS): string
    {
        $mac = hash_hmac('sha1', pack('J', $step), self::bytes($secret), true);
        $offset = ord($mac[19]) & 0x0F;
        $number = unpack('N', substr($mac, $offset, 4));

        return str_pad(
            (string) ((($number === false ? 0 : (int) $number[1]) & 0x7FFFFFFF) % 10 ** $digits),
            $digits,
            '0',
            STR_PAD_LEFT,
        );
    }

    /**
     * The step that a typed code belongs to; null where it is wrong, too old or was taken before.
     *
     * @param  int  $taken  the last step a code was taken for
     */
    public static function step(string $secret, string $typed, int $now, int $taken): ?int
    {
        $typed = (string) preg_replace('/\s+/', '', $typed);
        foreach ([0, -1, 1] as $off) {
            $step = intdiv($now, self::SECONDS) + $off;
            if ($step > $taken && hash_equals(self::at($secret, $step), $typed)) {
                return $step;
            }
        }

        return null;
    }

    /** What an authenticator reads out of a QR code. */
    public static function address(string $secret, string $login, string $shop): string
    {
        return 'otpauth://totp/'.
            rawurlencode($shop).
            ':'.
            rawurlencode($login).
            "?secret={$secret}&issuer=".
            rawurlencode($shop).
            '&period='.
            self::SECONDS.
            '&digits='.
            self::DIGITS;
    }

    public static function base32(string $bytes): string
    {
        $bits = implode(
            '',
            array_map(
                static fn (string $byte): string => str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT),
                str_split($bytes),
            ),
        );

        return implode(
            '',
            array_map(
                static fn (string $five): string => self::ALPHABET[(int) bindec(str_pad($five, 5, '0'))],
                str_split($bits, 5),
            ),
        );
    }

    private static function bytes(string $secret): string
    {
        $bits = implode(
            '',
            array_map(
                static fn (string $sign): string => str_pad(
                    decbin((int) strpos(self::ALPHABET, $sign)),
                    5,
                    '0',
                    STR_PAD_LEFT,
                ),
                str_split(strtoupper($secret)),
            ),
        );

        return implode(
            '',
            array_map(
                static fn (string $eight): string => strlen($eight) === 8 ? chr((int) bindec($eight)) : '',
                str_split($bits, 8),
            ),
        );
    }
}
