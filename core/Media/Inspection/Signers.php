<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** The certificates a machine, or the bench's usual machine, has enrolled, and what it has revoked. */
final readonly class Signers
{
    /**
     * @param  array<string, string>  $certificates  name => PEM
     * @param  list<string>|null  $revoked  SHA-256 digests of loaders, hexadecimal; null where nobody knows
     * @param  list<string>  $allowed  SHA-256 digests of loaders that are enrolled themselves
     * @param  list<string>  $revokedCertificates  PEM
     * @param  list<string>  $revokedSigned  SHA-256 digests of the signed part of revoked certificates
     * @param  array<string, string>  $fingerprints  name => SHA-256 of a certificate that is enrolled but not at hand
     *     itself
     */
    public function __construct(
        public array $certificates,
        public ?array $revoked,
        public string $source,
        public array $allowed = [],
        public array $revokedCertificates = [],
        public array $revokedSigned = [],
        public array $fingerprints = [],
    ) {
    }

    public static function unknown(): self
    {
        return new self([], null, 'no certificates are known here');
    }

    public function areKnown(): bool
    {
        return $this->certificates !== [] || $this->allowed !== [] || $this->fingerprints !== [];
    }
}
