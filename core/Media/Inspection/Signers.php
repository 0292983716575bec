<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** The certificates a machine, or the bench's usual machine, has enrolled, and what it has revoked. */
final readonly class Signers
{
    /**
     * @param  array<string, string>  $certificates  name => PEM
     * @param  list<string>|null  $revoked  SHA-256 digests of loaders, hexadecimal; null where nobody knows
     */
    public function __construct(public array $certificates, public ?array $revoked, public string $source)
    {
    }

    public static function unknown(): self
    {
        return new self([], null, 'no certificates are known here');
    }
}
