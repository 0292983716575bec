<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** The skeleton of a job (rule J2). It only breaks ties: facts decide the order. */
enum Stage: string
{
    case Intake = 'intake';
    case Identify = 'identify';
    case Route = 'route';
    case Protect = 'protect';
    case Gather = 'gather';
    case Image = 'image';
    case FetchDrivers = 'fetch-drivers';
    case Media = 'media';
    case Hardware = 'hardware';
    case FirmwareUpdate = 'firmware-update';
    case Firmware = 'firmware';
    case Boot = 'boot';
    case TryLive = 'try-live';
    case Target = 'target';
    case Install = 'install';
    case FirstBoot = 'first-boot';
    case Network = 'network';
    case Updates = 'updates';
    case Drivers = 'drivers';
    case Activation = 'activation';
    case Tune = 'tune';
    case Proof = 'proof';
    case PutBack = 'put-back';
    case HandOver = 'hand-over';

    public function order(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    public function title(): string
    {
        return match ($this) {
            self::FetchDrivers => 'Drivers for the way',
            self::FirmwareUpdate => 'Firmware update',
            self::TryLive => 'Try live',
            self::Target => 'Target drive',
            self::FirstBoot => 'First boot',
            self::PutBack => 'Put back',
            self::HandOver => 'Hand over',
            default => ucfirst($this->value),
        };
    }
}
