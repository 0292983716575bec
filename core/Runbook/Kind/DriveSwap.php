<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** A new drive is fitted and gets the system; the old one stays whole. */
final readonly class DriveSwap extends KindOfJob
{
    public function title(): string
    {
        return 'swap the drive, install clean';
    }

    public function intro(SheetFacts $facts): string
    {
        return "{$facts->machine()} {$facts->carries()}, installed fresh on a new drive.";
    }

    public function fitsDrive(): bool
    {
        return true;
    }
}
