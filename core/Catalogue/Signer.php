<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Who signs loaders, by the fingerprint of the certificate (rule F10). */
final readonly class Signer
{
    /**
     * @param  list<string>  $revoked
     * @param  string|null  $switch  the setting that makes a machine trust it
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public string $source,
        public string $fingerprintSha256,
        public bool $trustedByDefault = false,
        public array $revoked = [],
        public ?string $switch = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the signers schema accepts
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('as_of'),
            $fields->string('source'),
            $fields->string('fingerprint_sha256'),
            $fields->optionalBool('trusted_by_default') ?? false,
            $fields->strings('revoked'),
            $fields->optionalString('switch'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
