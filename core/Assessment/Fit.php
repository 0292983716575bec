<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

/** Whether a system fits a machine, all its needs taken together (rule A2). */
enum Fit: string
{
    case Fits = 'fits';
    case AfterSettings = 'fits-after-settings';
    case OnlyWithBypass = 'only-with-bypass';
    case Cannot = 'cannot';

    public function title(): string
    {
        return match ($this) {
            self::Fits => 'fits',
            self::AfterSettings => 'fits after settings',
            self::OnlyWithBypass => 'only with a bypass',
            self::Cannot => 'cannot',
        };
    }
}
