<?php

namespace Tests\Support;

use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Media\Inspection\LoaderTrust;

/** Ends that depend on signatures. */
final class SignatureEnds
{
    /** @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> */
    public static function all(): array
    {
        return [...self::switches(), ...self::signers()];
    }

    /**
     * @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> whether a signature is asked
     * for at all
     */
    private static function switches(): array
    {
        return [
            'signed, trusted' => fn () => BootEnd::installs(BootBench::state()),
            'unsigned, enforced' => fn () => BootEnd::refuses(BootEnd::loaded(['signed' => false, 'signer' => null])),
            'unsigned, off' => fn () => BootEnd::installs(BootEnd::loaded(
                ['signed' => false, 'signer' => null],
                ['firmware.secure_boot' => 'off'],
            )),
            'set but in setup mode' => fn () => BootEnd::installs(BootEnd::loaded(['signed' => false], [
                'firmware.key_mode' => 'setup',
            ])),
            'set but older devices allowed' => fn () => BootEnd::installs(BootEnd::loaded(
                ['signed' => false],
                ['firmware.older_devices' => 'allowed'],
            )),
            'set but both ways' => fn () => BootEnd::installs(BootEnd::loaded(['signed' => false], [
                'firmware.boot_mode' => 'both',
            ])),
        ];
    }

    /**
     * @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> whose signature it is, and what
     * becomes of the next stage
     */
    private static function signers(): array
    {
        return [
            'third-party, not trusted' => fn () => BootEnd::refuses(BootEnd::loaded(
                ['signer' => 'third-party'],
                ['firmware.third_party_signer' => 'not trusted'],
            )),
            'third-party, no switch' => fn () => BootEnd::refuses(BootEnd::loaded(['signer' => 'third-party'])),
            'third-party, trusted' => fn () => BootEnd::installs(BootEnd::loaded(
                ['signer' => 'third-party'],
                ['firmware.third_party_signer' => 'trusted'],
            )),
            'altered' => fn () => BootEnd::refuses(BootEnd::loaded(['judged' => LoaderTrust::Altered])),
            'revoked' => fn () => BootEnd::refuses(BootEnd::loaded(['judged' => LoaderTrust::Revoked])),
            'first trusted, next refused' => fn () => BootEnd::ends(
                BootEnd::loaded(['nextRefused' => 'unsigned next']),
                Outcome::LoaderStopped,
                'next stage',
                Ground::Emulation,
            ),
            'next refused, but not enforced' => fn () => BootEnd::installs(BootEnd::loaded(
                ['nextRefused' => 'unsigned next'],
                ['firmware.secure_boot' => 'off'],
            )),
            'next missing' => fn () => BootEnd::ends(
                BootEnd::loaded(['nextFault' => 'no next'], ['firmware.secure_boot' => 'off']),
                Outcome::LoaderStopped,
                'next stage',
                Ground::Emulation,
            ),
        ];
    }
}
