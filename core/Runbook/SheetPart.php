<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Where on the owner's sheet a laid stone is told (rule K4). */
enum SheetPart: string
{
    case Done = 'done';
    case Files = 'files';
    case Drive = 'drive';
    case Firmware = 'firmware';
    case Drivers = 'drivers';
    case Repair = 'repair';
    case Licence = 'licence';

    public function title(): string
    {
        return match ($this) {
            self::Done => 'What was done',
            self::Files => 'Your files',
            self::Drive => 'The drive',
            self::Firmware => 'Firmware',
            self::Drivers => 'Drivers',
            self::Repair => 'The repair',
            self::Licence => 'Licence',
        };
    }
}
