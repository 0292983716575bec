<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** How a system is started and signed. */
final readonly class SystemFirmware
{
    /**
     * @param  string  $bootMode  uefi, either or legacy
     * @param  string  $secureBootAfter  on: its loader is signed; off: it is not; any
     */
    public function __construct(
        public string $bootMode,
        public string $secureBootAfter,
        public ?string $signer = null,
        public bool $securityChip = false,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('boot_mode', ['uefi', 'either', 'legacy']),
            $fields->oneOf('secure_boot_after', ['on', 'off', 'any']),
            $fields->optionalString('signer'),
            $fields->optionalBool('security_chip') ?? false,
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
