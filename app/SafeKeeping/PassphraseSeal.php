<?php

declare(strict_types=1);

namespace App\SafeKeeping;

use RuntimeException;

/** A text under a passphrase: Argon2id for the key, XSalsa20-Poly1305 around the text (libsodium's secretbox). */
final class PassphraseSeal
{
    private const HEAD = "cobblestone sealed 1\n";

    public const SHORTEST = 12;

    public static function close(string $text, string $passphrase): string
    {
        [$salt, $nonce] = [
            random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES),
            random_bytes(SODIUM_CRYPTO_SECRETBOX_NONCEBYTES),
        ];

        return self::HEAD.
            base64_encode($salt.$nonce.sodium_crypto_secretbox($text, $nonce, self::key($passphrase, $salt))).
            "\n";
    }

    /** @throws RuntimeException where it is no seal of ours, or the passphrase is another */
    public static function open(string $sealed, string $passphrase): string
    {
        $bytes = str_starts_with($sealed, self::HEAD)
            ? base64_decode(trim(substr($sealed, strlen(self::HEAD))), true)
            : false;
        if (
            $bytes === false ||
            strlen($bytes) <
                SODIUM_CRYPTO_PWHASH_SALTBYTES + SODIUM_CRYPTO_SECRETBOX_NONCEBYTES + SODIUM_CRYPTO_SECRETBOX_MACBYTES
        ) {
            throw new RuntimeException('This is no sealed file of a backup, or it is damaged.');
        }
        [$salt, $nonce, $box] = [
            substr($bytes, 0, SODIUM_CRYPTO_PWHASH_SALTBYTES),
            substr($bytes, SODIUM_CRYPTO_PWHASH_SALTBYTES, SODIUM_CRYPTO_SECRETBOX_NONCEBYTES),
            substr($bytes, SODIUM_CRYPTO_PWHASH_SALTBYTES + SODIUM_CRYPTO_SECRETBOX_NONCEBYTES),
        ];
        $text = sodium_crypto_secretbox_open($box, $nonce, self::key($passphrase, $salt));

        return $text === false
            ? throw new RuntimeException('The passphrase is another one than the backup was made with.')
            : $text;
    }

    private static function key(string $passphrase, string $salt): string
    {
        return sodium_crypto_pwhash(
            SODIUM_CRYPTO_SECRETBOX_KEYBYTES,
            $passphrase,
            $salt,
            SODIUM_CRYPTO_PWHASH_OPSLIMIT_INTERACTIVE,
            SODIUM_CRYPTO_PWHASH_MEMLIMIT_INTERACTIVE,
        );
    }
}
