<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

/** How one power-on ends (rule B). Every state of a machine has exactly one. */
enum Outcome: string
{
    case InstallerStarts = 'installer-starts';
    case WantedSystemStarts = 'wanted-system-starts';
    case OldSystemStarts = 'old-system-starts';
    case RecoveryStarts = 'recovery-starts';
    case RefusedBySecureBoot = 'refused-by-secure-boot';
    case NoBootableDevice = 'no-bootable-device';
    case LoaderMissing = 'loader-missing';
    case WrongArchitecture = 'wrong-architecture';
    case Silent = 'silent';
    case LoaderStopped = 'loader-stopped';
    case StickUnreadable = 'stick-unreadable';
    case RecoveryKeyPrompt = 'recovery-key-prompt';
    case InstallerSeesNoDrive = 'installer-sees-no-drive';
    case InstallLoop = 'install-loop';
    case StopsInSetup = 'stops-in-setup';

    /** The five words for a stick alone on a machine: what the firmware does with it. */
    public const OF_A_STICK = ['starts', 'refused-secure-boot', 'no-boot-device', 'silent', 'loader-stopped'];

    public function title(): string
    {
        return match ($this) {
            self::InstallerStarts => 'the installer starts',
            self::WantedSystemStarts => 'the wanted system starts',
            self::OldSystemStarts => 'the old system starts',
            self::RecoveryStarts => 'the recovery starts',
            self::RefusedBySecureBoot => 'refused by Secure Boot',
            self::NoBootableDevice => 'no bootable device',
            self::LoaderMissing => 'loader missing',
            self::WrongArchitecture => 'wrong architecture',
            self::Silent => 'handed over, then silent',
            self::LoaderStopped => 'the loader stopped',
            self::StickUnreadable => 'the stick cannot be read',
            self::RecoveryKeyPrompt => 'it asks for the recovery key',
            self::InstallerSeesNoDrive => 'the installer sees no drive',
            self::InstallLoop => 'the installer starts again and again',
            self::StopsInSetup => 'it stops in the setup',
        };
    }

    /** Roughly what a person in front of the machine sees. */
    public function seen(): string
    {
        return match ($this) {
            self::InstallerStarts => 'The installer\'s first screen.',
            self::WantedSystemStarts => 'The new system, or the next part of its installation.',
            self::OldSystemStarts => 'The system that was on the drive, as if no stick were there.',
            self::RecoveryStarts => 'The recovery\'s first screen.',
            self::RefusedBySecureBoot => 'A short message about a signature or a violation, often for a second only; '
                .'then the list of devices again, or the next entry.',
            self::NoBootableDevice => 'A message that there is no bootable device, or straight into the setup.',
            self::LoaderMissing => 'The screen blinks once; then the list of devices again, the next entry, or "no '
                .'bootable device".',
            self::WrongArchitecture => 'The stick may be listed; when it is chosen the screen blinks and the list '
                .'comes back.',
            self::Silent => 'A black screen, a cursor at most, and nothing more.',
            self::LoaderStopped => 'A line of text from the loader, and no further.',
            self::StickUnreadable => 'The stick is not listed, or choosing it takes long and ends in the list again.',
            self::RecoveryKeyPrompt => 'A screen that asks for the drive\'s recovery key.',
            self::InstallerSeesNoDrive => 'The installer runs; its list of drives is empty.',
            self::InstallLoop => 'After the restart the installer\'s first screen once more.',
            self::StopsInSetup => 'The firmware\'s setup.',
        };
    }

    /** How bad it is for whoever waits for a start: 0 something starts, larger is farther from it. */
    public function distance(): int
    {
        return match ($this) {
            self::InstallerStarts, self::WantedSystemStarts, self::OldSystemStarts, self::RecoveryStarts => 0,
            self::StopsInSetup, self::RecoveryKeyPrompt, self::InstallerSeesNoDrive, self::InstallLoop => 1,
            self::LoaderStopped, self::Silent => 2,
            self::RefusedBySecureBoot => 3,
            self::WrongArchitecture => 4,
            self::LoaderMissing => 5,
            self::StickUnreadable => 6,
            self::NoBootableDevice => 7,
        };
    }

    /** What of it concerns the stick alone. */
    public function ofAStick(): string
    {
        return match ($this) {
            self::RefusedBySecureBoot => 'refused-secure-boot',
            self::Silent => 'silent',
            self::LoaderStopped => 'loader-stopped',
            self::NoBootableDevice,
            self::LoaderMissing,
            self::WrongArchitecture,
            self::StickUnreadable,
            self::StopsInSetup => 'no-boot-device',
            default => 'starts',
        };
    }
}
