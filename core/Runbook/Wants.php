<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What a person wants to see after pressing the power button. */
enum Wants: string
{
    case Setup = 'setup';
    case Installer = 'installer';
    case NextPart = 'next-part';
    case System = 'system';
    case Recovery = 'recovery';

    public function title(): string
    {
        return match ($this) {
            self::Setup => 'the setup',
            self::Installer => 'the installer on the stick',
            self::NextPart => 'the next part of the installation',
            self::System => 'the wanted system',
            self::Recovery => 'the recovery',
        };
    }
}
