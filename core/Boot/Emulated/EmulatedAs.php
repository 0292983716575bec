<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Emulated;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Machine\SecureBootState;

/** The emulated machine that comes nearest to one with its settings: its firmware, and whose signatures it trusts. */
final readonly class EmulatedAs
{
    /** @param  list<string>  $trusts  signers by the catalogue's names; asked only where Secure Boot is in force */
    public function __construct(public EmulatedFirmware $firmware, public array $trusts)
    {
    }

    /**
     * Null where nothing here is like it, or what is set is not known.
     *
     * @param  array<string, bool|int|float|string|null>  $facts  named as on the fact sheet
     * @param  list<string>  $always  signers that it trusts whatever is set
     * @param  array<string, string>  $switches  signer => the setting that makes it trusted
     */
    public static function of(array $facts, array $always, array $switches): ?self
    {
        $is = static fn (string $name, string $value): bool => ($facts["firmware.{$name}"] ?? null) === $value;
        $enforced = SecureBootState::fromValues($facts)->inForce;
        $switched = array_keys(array_filter($switches, static fn (string $by): bool => $is($by, 'trusted')));

        return match (true) {
            ($facts['architecture'] ?? null) !== 'x86-64' || $is('kind', 'sealed') => null,
            $is('kind', 'bios'), $is('boot_mode', 'legacy') => new self(EmulatedFirmware::Bios, []),
            // Both ways at once is what no emulated firmware here has; which of them a stick takes is not known.
            $is('boot_mode', 'both') || $enforced === null => null,
            $enforced => new self(EmulatedFirmware::UefiSecure, [...$always, ...$switched]),
            default => new self(EmulatedFirmware::Uefi, []),
        };
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->enum('firmware', EmulatedFirmware::class), $fields->strings('trusts'));
    }

    /** @return array{firmware: string, trusts: list<string>} */
    public function toArray(): array
    {
        return ['firmware' => $this->firmware->value, 'trusts' => $this->trusts];
    }
}
