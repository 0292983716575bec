<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Runbook\Kind\CableRestore;
use Cobblestone\Runbook\Kind\CardSwap;
use Cobblestone\Runbook\Kind\CleanInstall;
use Cobblestone\Runbook\Kind\DriveSwap;
use Cobblestone\Runbook\Kind\FactoryRestore;
use Cobblestone\Runbook\Kind\FirmwareUpdate;
use Cobblestone\Runbook\Kind\FirstPowerOn;
use Cobblestone\Runbook\Kind\KindOfJob;
use Cobblestone\Runbook\Kind\MediaOnly;
use Cobblestone\Runbook\Kind\Repair;
use Cobblestone\Runbook\Kind\Upgrade;

/** The kinds of job by name, all of them first-class (rule J1); what each is stands in a class of its own. */
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

    public function rules(): KindOfJob
    {
        return match ($this) {
            self::CleanInstall => new CleanInstall,
            self::MediaOnly => new MediaOnly,
            self::FirstPowerOn => new FirstPowerOn,
            self::DriveSwap => new DriveSwap,
            self::FactoryRestore => new FactoryRestore,
            self::FirmwareUpdate => new FirmwareUpdate,
            self::CardSwap => new CardSwap,
            self::Repair => new Repair,
            self::CableRestore => new CableRestore,
            self::Upgrade => new Upgrade,
        };
    }

    public function title(): string
    {
        return $this->rules()->title();
    }

    /** The kind that puts a system onto the drive that is there: what is left where nothing gentler works. */
    public static function installing(): self
    {
        return self::CleanInstall;
    }

    /** The kind that fits another drive, so that the old one is not written to. */
    public static function fittingDrive(): self
    {
        return self::DriveSwap;
    }
}
