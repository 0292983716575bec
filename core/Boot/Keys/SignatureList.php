<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Keys;

/** EFI signature lists as a machine keeps them in `db` and `dbx` (UEFI specification 2.10, 32.4.1). */
final readonly class SignatureList
{
    private const X509 = "\xA1\x59\xC0\xA5\xE4\x94\xA7\x4A\x87\xB5\xAB\x15\x5C\x2B\xF0\x72";

    private const SHA256 = "\x26\x16\xC4\xC1\x4C\x50\x92\x40\xAC\xA9\x41\xF9\x36\x93\x43\x28";

    /** A certificate revoked by the SHA-256 of its to-be-signed part. */
    private const X509_SHA256 = "\x92\xA4\xD2\x3B\xC0\x96\x79\x40\xB4\x20\xFC\xF9\x8E\xF1\x03\xED";

    /** List header: type, size of the list, of its own header, of one signature. */
    private const HEADER = 28;

    private const OWNER = 16;

    private const MOST = 20_000;

    /**
     * @param  list<string>  $certificates  DER
     * @param  list<string>  $digests  SHA-256 of loaders, hexadecimal
     * @param  list<string>  $certificateDigests  SHA-256 of certificates' signed parts, hexadecimal
     * @param  list<string>  $notes  what was not understood
     */
    private function __construct(
        public array $certificates,
        public array $digests,
        public array $certificateDigests,
        public array $notes,
    ) {
    }

    /**
     * Null where the bytes are no such lists; the four bytes of attributes that the kernel puts before a variable may
     * stand before them.
     */
    public static function read(string $bytes): ?self
    {
        if ($bytes === '') {
            return new self([], [], [], []);
        }

        return self::lists($bytes) ?? (strlen($bytes) > 4 ? self::lists(substr($bytes, 4)) : null);
    }

    /** One list of one kind, as bytes: for stand-ins and tests. */
    public static function ofCertificate(string $der): string
    {
        return self::X509.
            pack('V3', self::HEADER + self::OWNER + strlen($der), 0, self::OWNER + strlen($der)).
            str_repeat("\0", self::OWNER).
            $der;
    }

    /** @param  string  $digest  SHA-256, hexadecimal */
    public static function ofDigest(string $digest): string
    {
        return self::SHA256.
            pack('V3', self::HEADER + self::OWNER + 32, 0, self::OWNER + 32).
            str_repeat("\0", self::OWNER).
            hex2bin($digest);
    }

    private static function lists(string $bytes): ?self
    {
        $certificates = $digests = $certificateDigests = $notes = [];
        $read = 0;
        for ($at = 0; $at < strlen($bytes); $at += $head['list']) {
            if (strlen($bytes) - $at < self::HEADER) {
                return null;
            }
            $type = substr($bytes, $at, 16);
            /** @var array{list: int, header: int, one: int} $head */
            $head = unpack('Vlist/Vheader/Vone', $bytes, $at + 16);
            $body = $head['list'] - self::HEADER - $head['header'];
            if (
                $head['list'] < self::HEADER ||
                $at + $head['list'] > strlen($bytes) ||
                $body < 0 ||
                $head['one'] <= self::OWNER ||
                $body % $head['one'] !== 0
            ) {
                return null;
            }
            for ($i = 0; $i < intdiv($body, $head['one']) && $read < self::MOST; $i++, $read++) {
                $data = substr(
                    $bytes,
                    $at + self::HEADER + $head['header'] + $i * $head['one'] + self::OWNER,
                    $head['one'] - self::OWNER,
                );
                match ($type) {
                    self::X509 => ($certificates[] = $data),
                    self::SHA256 => ($digests[] = bin2hex(substr($data, 0, 32))),
                    self::X509_SHA256 => ($certificateDigests[] = bin2hex(substr($data, 0, 32))),
                    default => ($notes[bin2hex($type)] =
                        'A kind of signature that is not known here ('.bin2hex($type).') was left out.'),
                };
            }
        }

        return new self($certificates, $digests, $certificateDigests, array_values($notes));
    }
}
