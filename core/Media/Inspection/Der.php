<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** As much of a certificate's encoding as revocation lists need (X.690, 8.1; RFC 5280, 4.1). */
final class Der
{
    public static function ofPem(string $pem): string
    {
        return (string) base64_decode((string) preg_replace('/-----[A-Z ]+-----|\s+/', '', $pem), true);
    }

    /** The part of a certificate that its issuer signed, header included; empty where the bytes are no certificate. */
    public static function signedPart(string $certificate): string
    {
        [$at] = self::header($certificate, 0);
        if ($at === 0) {
            return '';
        }
        [$inner, $length] = self::header($certificate, $at);

        return $inner === 0 ? '' : substr($certificate, $at, $inner - $at + $length);
    }

    /** @return array{int, int} where the content of the SEQUENCE begins, and its bytes; 0, 0 where there is none */
    private static function header(string $bytes, int $at): array
    {
        if (strlen($bytes) < $at + 2 || $bytes[$at] !== "\x30") {
            return [0, 0];
        }
        $first = ord($bytes[$at + 1]);
        if ($first < 0x80) {
            return [$at + 2, $first];
        }
        $count = $first & 0x7F;
        $length = $count === 0 || $count > 4 ? null : hexdec(bin2hex(substr($bytes, $at + 2, $count)));

        return $length === null ? [0, 0] : [$at + 2 + $count, (int) $length];
    }
}
