<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** The kinds of job, all of them first-class (rule J1). */
enum JobKind: string
{
    case CleanInstall = 'clean-install';
    case MediaOnly = 'media-only';
    case FirstPowerOn = 'first-power-on';
    case DriveSwap = 'drive-swap';
    case FactoryRestore = 'factory-restore';
    case FirmwareUpdate = 'firmware-update';
    case CardSwap = 'card-swap';
    case Repair = 'repair';
    case CableRestore = 'cable-restore';
    case Upgrade = 'upgrade';

    public function title(): string
    {
        return match ($this) {
            self::CleanInstall => 'clean install from a stick',
            self::MediaOnly => 'make a stick only',
            self::FirstPowerOn => 'first power-on of a new build',
            self::DriveSwap => 'swap the drive, install clean',
            self::FactoryRestore => 'put the factory image back',
            self::FirmwareUpdate => 'update the firmware only',
            self::CardSwap => 'swap the graphics card',
            self::Repair => 'repair in place',
            self::CableRestore => 'restore a sealed machine over a cable',
            self::Upgrade => 'upgrade in place',
        };
    }

    /** Whether the job is about a system and an image from the shelf. */
    public function wantsImage(): bool
    {
        return ! in_array($this, [self::FirmwareUpdate, self::CardSwap, self::FactoryRestore, self::Repair], true);
    }

    /** Whether a system has to be named at all. */
    public function wantsSystem(): bool
    {
        return $this !== self::FirmwareUpdate;
    }

    /** Whether the present system stays on its drive. */
    public function keepsSystem(): bool
    {
        return in_array($this, [self::FirmwareUpdate, self::CardSwap, self::Repair, self::Upgrade], true);
    }
}
