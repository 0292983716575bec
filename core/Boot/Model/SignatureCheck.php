<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Boot\Medium\Loader;
use Cobblestone\Machine\SecureBootState;

/** What the firmware says to a loader's signature (rules F2, F9). */
final readonly class SignatureCheck
{
    public function __construct(private BootState $state, private Consulted $facts)
    {
    }

    /** Set and in force are two things; what stands against it is asked for only where it is set. */
    public function isInForce(): bool
    {
        return $this->facts->get('firmware.secure_boot') === 'on' &&
            SecureBootState::fromValues([
                ...$this->state->facts,
                'firmware.secure_boot' => 'on',
                'firmware.key_mode' => $this->facts->optional('firmware.key_mode'),
                'firmware.older_devices' => $this->facts->optional('firmware.older_devices'),
            ])->inForce === true;
    }

    /** @return array{refused: bool, words: string, cause: Cause|null} */
    public function of(Loader $loader): array
    {
        $trust = $loader->trustedBy($this->trusted($loader));
        $atFirst = $trust->isRefusedAtFirst();
        $refused = $atFirst ?? $this->facts->get('loader.signature') === 'refused';
        $words = match (true) {
            $atFirst === null => $refused ? 'Its signature is not trusted here.' : 'Its signature is trusted here.',
            $loader->because !== '' => $loader->because,
            default => ucfirst($trust->title()).($loader->signer === null ? '.' : ": {$loader->signer} signer."),
        };
        if (! $refused) {
            return ['refused' => false, 'words' => $words, 'cause' => null];
        }
        $cause = Cause::ofRefused(
            $trust,
            $this->switchOf($loader) !== null,
            array_key_exists((string) $this->switchOf($loader), $this->state->facts),
        );

        $words = "Secure Boot is in force. {$words}".self::switchFor($cause);

        return ['refused' => true, 'words' => $words, 'cause' => $cause];
    }

    /** @return list<string> */
    private function trusted(Loader $loader): array
    {
        $switch = $this->switchOf($loader);
        $switched = $switch !== null && $this->facts->optional($switch) === 'trusted';

        return [...$this->state->trusted, ...$switched ? [(string) $loader->signer] : []];
    }

    /** The fact that says whether its signer is trusted, where machines have a setting for that signer. */
    private function switchOf(Loader $loader): ?string
    {
        $setting = $this->state->switches[$loader->signer ?? ''] ?? null;

        return $setting === null ? null : "firmware.{$setting}";
    }

    private static function switchFor(Cause $cause): string
    {
        return match ($cause) {
            Cause::SignerSwitchable => ' The setup has a switch for it.',
            Cause::SignerUnknown => ' This machine has no switch for it.',
            default => '',
        };
    }
}
