<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use InvalidArgumentException;

/** A GUID in text and in the mixed byte order that GPT stores (UEFI specification, appendix A). */
final readonly class Guid
{
    private function __construct(public string $text)
    {
    }

    /** @throws InvalidArgumentException for anything but 8-4-4-4-12 hexadecimal digits */
    public static function of(string $text): self
    {
        if (preg_match('/^[0-9a-f]{8}-([0-9a-f]{4}-){3}[0-9a-f]{12}$/i', $text) !== 1) {
            throw new InvalidArgumentException("\"{$text}\" is not a GUID.");
        }

        return new self(strtoupper($text));
    }

    /**
     * From the 16 bytes that GPT stores.
     *
     * @throws InvalidArgumentException for any other number of bytes
     */
    public static function fromBytes(string $bytes): self
    {
        $hex = bin2hex(
            strrev(substr($bytes, 0, 4)).
                strrev(substr($bytes, 4, 2)).
                strrev(substr($bytes, 6, 2)).
                substr($bytes, 8),
        );

        return self::of(
            implode('-', [
                substr($hex, 0, 8),
                substr($hex, 8, 4),
                substr($hex, 12, 4),
                substr($hex, 16, 4),
                substr($hex, 20),
            ]),
        );
    }

    /**
     * Always the same GUID for the same words (RFC 9562, version 8: a hash of our own choice), so that plans repeat.
     */
    public static function fromSeed(string $seed): self
    {
        $hash = sha1('cobblestone '.$seed, true);
        $hash[6] = chr((ord($hash[6]) & 0x0F) | 0x80);
        $hash[8] = chr((ord($hash[8]) & 0x3F) | 0x80);
        $hex = bin2hex(substr($hash, 0, 16));

        return self::of(
            implode('-', [
                substr($hex, 0, 8),
                substr($hex, 8, 4),
                substr($hex, 12, 4),
                substr($hex, 16, 4),
                substr($hex, 20, 12),
            ]),
        );
    }

    /** 16 bytes, the first three fields little-endian. */
    public function bytes(): string
    {
        [$a, $b, $c, $d, $e] = explode('-', $this->text);

        return strrev((string) hex2bin($a)).
            strrev((string) hex2bin($b)).
            strrev((string) hex2bin($c)).
            hex2bin($d).
            hex2bin($e);
    }
}
