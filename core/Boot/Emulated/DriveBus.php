<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Emulated;

/** How the drive of an emulated machine is attached. */
enum DriveBus: string
{
    case Nvme = 'nvme';
    case Sata = 'sata';

    public function title(): string
    {
        return match ($this) {
            self::Nvme => 'NVMe',
            self::Sata => 'SATA',
        };
    }
}
