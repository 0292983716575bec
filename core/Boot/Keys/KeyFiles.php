<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Keys;

use Cobblestone\Media\Inspection\Signers;
use InvalidArgumentException;

/**
 * Enrolled certificates and revocations from files: certificates, signature lists of a machine, or a firmware's
 * variable store (rules F10, M2).
 */
final class KeyFiles
{
    private const PEM = '/-----BEGIN CERTIFICATE-----.+?-----END CERTIFICATE-----/s';

    /**
     * @param  array<string, string>  $files  name => bytes; a list is one of revocations where its name begins with
     *     "dbx"
     *
     * @throws InvalidArgumentException naming the file that is none of these
     */
    public static function read(array $files): Signers
    {
        $certificates = $allowed = $revoked = $revokedCertificates = $revokedSigned = [];
        foreach ($files as $name => $bytes) {
            $store = VariableStore::read($bytes);
            if ($store !== null) {
                $lists = ['db' => $store->variables['db'] ?? '', 'dbx' => $store->variables['dbx'] ?? ''];
            } elseif (preg_match_all(self::PEM, $bytes, $found) > 0) {
                foreach ($found[0] as $index => $pem) {
                    $certificates[$index === 0 ? $name : "{$name} #".($index + 1)] = $pem."\n";
                }

                continue;
            } elseif (self::isCertificate($bytes)) {
                $certificates[$name] = self::pem($bytes);

                continue;
            } else {
                $lists = [str_starts_with(strtolower($name), 'dbx') ? 'dbx' : 'db' => $bytes];
            }
            foreach ($lists as $which => $data) {
                $list =
                    SignatureList::read($data) ??
                    throw new InvalidArgumentException(
                        "{$name}: this is neither a certificate (PEM or DER) nor a list of signatures nor a "
                            ."firmware's variable store.",
                    );
                if ($which === 'dbx') {
                    array_push($revoked, ...$list->digests);
                    array_push($revokedCertificates, ...array_map(self::pem(...), $list->certificates));
                    array_push($revokedSigned, ...$list->certificateDigests);

                    continue;
                }
                array_push($allowed, ...$list->digests);
                foreach ($list->certificates as $index => $der) {
                    $certificates["{$name}, certificate ".($index + 1)] = self::pem($der);
                }
            }
        }

        return new Signers(
            $certificates,
            $revoked,
            implode(', ', array_keys($files)),
            $allowed,
            $revokedCertificates,
            $revokedSigned,
        );
    }

    /** A DER certificate: a SEQUENCE that is exactly as long as it says. */
    private static function isCertificate(string $bytes): bool
    {
        return strlen($bytes) > 64 &&
            str_starts_with($bytes, "\x30\x82") &&
            ((ord($bytes[2]) << 8) | ord($bytes[3])) + 4 === strlen($bytes);
    }

    private static function pem(string $der): string
    {
        return "-----BEGIN CERTIFICATE-----\n".
            chunk_split(base64_encode($der), 64, "\n").
            "-----END CERTIFICATE-----\n";
    }
}
