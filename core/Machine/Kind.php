<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/** What shape of machine stands on the bench; each kind brings its own defaults (rule J13). */
enum Kind: string
{
    case Desktop = 'desktop';
    case Laptop = 'laptop';
    case Handheld = 'handheld';
    case Sealed = 'sealed';
    case Any = 'any';

    public function title(): string
    {
        return $this === self::Any ? 'any machine' : $this->value;
    }

    public function isPortable(): bool
    {
        return $this === self::Laptop || $this === self::Handheld;
    }

    /** What is left alone while it works by itself: only a laptop has a lid. */
    public function leftAlone(): string
    {
        return $this === self::Laptop
            ? 'Leave it alone: no key, no lid, no power button.'
            : 'Leave it alone: no key, no power button.';
    }
}
