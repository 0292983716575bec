<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Boot\Model\Cause;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Model\Prediction;
use Cobblestone\Boot\Model\Stone;

/** The cheapest thing that mends a predicted failure, and whose hand it takes (rule B). */
final readonly class Advice
{
    private function __construct(public string $fix, public string $who)
    {
    }

    public static function for(Prediction $prediction): self
    {
        $stone = $prediction->missing();
        $cause = $prediction->because();

        return match ($prediction->blamed()) {
            Outcome::RefusedBySecureBoot => self::refused($cause),
            Outcome::RecoveryKeyPrompt => new self(
                'Put the changed setting back and start again; else the owner types the recovery key. Before it '
                    .'comes to that: suspend the drive\'s protection.',
                'owner',
            ),
            Outcome::InstallerSeesNoDrive => new self(
                'Set the drive controller to the mode the installer has drivers for, or add the storage driver to '
                    .'the stick\'s driver folder.',
                'technician',
            ),
            Outcome::InstallLoop => new self(
                'Pull the stick at the restart, and let the drive be first in the order.',
                'technician',
            ),
            Outcome::StickUnreadable => new self(
                'Another port on the board itself; then another stick.',
                'technician',
            ),
            Outcome::WrongArchitecture => new self('Take the image for this machine\'s architecture.', 'technician'),
            Outcome::LoaderStopped => self::silent($stone, $prediction),
            Outcome::Silent => self::stopped($stone, $prediction),
            Outcome::LoaderMissing => self::missing($stone->name ?? ''),
            Outcome::NoBootableDevice => self::notListed($cause, $stone, $prediction),
            Outcome::OldSystemStarts => new self(
                'Plug the stick in before the power button, and pick it in the one-time menu.',
                'technician',
            ),
            default => new self('', 'technician'),
        };
    }

    private static function silent(?Stone $stone, Prediction $prediction): Advice
    {
        return new self(
            ($stone->name ?? '') === 'boot sector'
                ? self::otherWay($prediction)
                : 'Write the stick again from an image whose checksum was compared; then another version of it.',
            'technician',
        );
    }

    private static function stopped(?Stone $stone, Prediction $prediction): Advice
    {
        return new self(
            match ($stone->name ?? '') {
                'boot sector' => self::otherWay($prediction),
                'drives' => 'Put the drive controller back to the mode the system was installed with.',
                default => 'Write the stick again, or take another version of the image.',
            },
            'technician',
        );
    }

    private static function notListed(?Cause $cause, ?Stone $stone, Prediction $prediction): Advice
    {
        return new self(
            match (true) {
                $cause === Cause::UsbStartOff => 'Switch starting from USB on in the setup.',
                $cause === Cause::NoSystemOnDrive => 'Restore it over the cable from a helper.',
                $cause === Cause::NotPluggedIn => 'Plug it in before the power button.',
                ($stone->name ?? '') === 'boot sector' => self::otherWay($prediction),
                default => 'Another port on the board itself; then another stick.',
            },
            'technician',
        );
    }

    private static function otherWay(Prediction $prediction): string
    {
        return $prediction->carries(Cause::LegacyOnly)
            ? 'This machine has no UEFI: take an image that starts the old way, or write the stick for it.'
            : 'Start it by UEFI, or write the stick for the old way of starting.';
    }

    /** What usually mends an end that was seen, where its cause is not known. */
    public static function forOutcome(Outcome $outcome): self
    {
        return self::for(new Prediction($outcome, null, [], Ground::SeenHere));
    }

    private static function refused(?Cause $cause): self
    {
        return match ($cause) {
            Cause::SignerSwitchable => new self(
                'Trust the loader\'s signer in the setup; Secure Boot stays on.',
                'technician',
            ),
            Cause::SignerUnknown => new self(
                'Secure Boot off for this start, and back on afterwards where the system is signed; or an image '
                    .'whose signer this machine trusts.',
                'technician',
            ),
            Cause::Altered => new self(
                'The file was changed after it was signed: fetch the image again and compare its checksum.',
                'technician',
            ),
            Cause::Revoked => new self(
                'Take the newer image of the same line: its loader is not revoked.',
                'technician',
            ),
            Cause::Unsigned => new self(
                'Take an image with a signed loader; else Secure Boot off for this start, and back on afterwards.',
                'technician',
            ),
            default => new self(
                'Enrol the signer where this model allows it; else Secure Boot off for this start, and back on '
                    .'afterwards.',
                'lead',
            ),
        };
    }

    private static function missing(string $stone): self
    {
        return new self(
            match ($stone) {
                'table' => 'Write the stick again and read it back; an optical image without a table is written by '
                    .'copying its files.',
                'volume' => 'Write the stick the other way: its files copied onto FAT, where the image allows it.',
                'program' => 'Write the stick again from an image whose checksum was compared.',
                default => 'Take the way of writing that puts the loader at its default path, or an image for UEFI.',
            },
            'technician',
        );
    }
}
