<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Runbook\PathFact;

/** What a stick of plain files is for. */
enum FilesFor: string
{
    case Firmware = 'firmware';
    case Drivers = 'drivers';

    public function title(): string
    {
        return match ($this) {
            self::Firmware => 'the firmware files',
            self::Drivers => 'the drivers',
        };
    }

    /** What a stick that was built and read back proves of the path. */
    public function proves(): string
    {
        return match ($this) {
            self::Firmware => PathFact::FIRMWARE_ON_STICK,
            self::Drivers => PathFact::DRIVERS_ON_STICK,
        };
    }
}
