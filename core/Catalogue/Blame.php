<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

/** What a cause blames, of what the bench keeps a record of: it counts there once the fix helped (rule L1). */
enum Blame: string
{
    /** The stick that the job starts from. */
    case Stick = 'stick';
    /** The way into the setup, the one-time menu or the recovery that stands first for this model. */
    case WayToSetup = 'way-to-setup';
    case WayToMenu = 'way-to-menu';
    case WayToRecovery = 'way-to-recovery';

    /** What it is called where somebody chooses it. */
    public function title(): string
    {
        return match ($this) {
            self::Stick => 'the stick of the job',
            self::WayToSetup => 'the way into the setup',
            self::WayToMenu => 'the way to the one-time menu',
            self::WayToRecovery => 'the way into the recovery',
        };
    }

    /** What the way leads to: setup, menu or recovery; null where it is no way. */
    public function reaches(): ?string
    {
        return match ($this) {
            self::Stick => null,
            self::WayToSetup => 'setup',
            self::WayToMenu => 'menu',
            self::WayToRecovery => 'recovery',
        };
    }
}
