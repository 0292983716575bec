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
            $own = self::certificatesIn($name, $bytes);
            $certificates = [...$certificates, ...$own];
            foreach ($own === [] ? self::listsIn($name, $bytes) : [] as $which => $list) {
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

        return self::signers($certificates, $revoked, $files, $allowed, $revokedCertificates, $revokedSigned);
    }

    /** @return array<string, string> name => certificate as PEM; none where it is a list or a store of variables */
    private static function certificatesIn(string $name, string $bytes): array
    {
        if (VariableStore::read($bytes) !== null) {
            return [];
        }
        if (preg_match_all(self::PEM, $bytes, $found) > 0) {
            $named = [];
            foreach ($found[0] as $index => $pem) {
                $named[$index === 0 ? $name : "{$name} #".($index + 1)] = $pem."\n";
            }

            return $named;
        }

        return self::isCertificate($bytes) ? [$name => self::pem($bytes)] : [];
    }

    /**
     * @return array<string, SignatureList> db or dbx => what is in it
     *
     * @throws InvalidArgumentException
     */
    private static function listsIn(string $name, string $bytes): array
    {
        $store = VariableStore::read($bytes);
        $lists = $store === null
            ? [str_starts_with(strtolower($name), 'dbx') ? 'dbx' : 'db' => $bytes]
            : ['db' => $store->variables['db'] ?? '', 'dbx' => $store->variables['dbx'] ?? ''];

        return array_map(static fn (string $data): SignatureList => SignatureList::read($data)
            ?? throw new InvalidArgumentException(
                "{$name}: this is neither a certificate (PEM or DER) nor a list of signatures nor a firmware's "
                    .'variable store.',
            ), $lists);
    }

    /**
     * @param  array<string, string>  $certificates
     * @param  list<string>  $revoked
     * @param  array<string, string>  $files
     * @param  list<string>  $allowed
     * @param  list<string>  $revokedCertificates
     * @param  list<string>  $revokedSigned
     */
    private static function signers(
        array $certificates,
        array $revoked,
        array $files,
        array $allowed,
        array $revokedCertificates,
        array $revokedSigned,
    ): Signers {
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
