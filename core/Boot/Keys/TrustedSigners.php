<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Keys;

/** Whose loaders a machine starts while Secure Boot is in force, by the catalogue's names of the signers (rule F10). */
final readonly class TrustedSigners
{
    /**
     * @param  list<string>  $always  signers it trusts as it stands
     * @param  array<string, string>  $switches  signer => setting that makes a machine trust it, where it has that
     *     setting
     */
    public function __construct(public array $always = [], public array $switches = [])
    {
    }

    /** @return array<string, null> the facts that decide about signers with a switch, while nobody has looked */
    public function unknown(): array
    {
        return array_fill_keys(
            array_map(static fn (string $setting): string => "firmware.{$setting}", array_values($this->switches)),
            null,
        );
    }

    /** Whether that fact is the switch of a signer. */
    public function isSwitch(?string $fact): bool
    {
        return $fact !== null && array_key_exists($fact, $this->unknown());
    }
}
