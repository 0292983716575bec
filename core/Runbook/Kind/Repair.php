<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** The present system mended where it stands. */
final readonly class Repair extends KindOfJob
{
    public function title(): string
    {
        return 'repair in place';
    }

    public function intro(SheetFacts $facts): string
    {
        return "{$facts->machine()} It was here to be repaired in place.";
    }

    public function wantsImage(): bool
    {
        return false;
    }

    public function mendsPresent(): bool
    {
        return true;
    }

    public function keepsSystem(): bool
    {
        return true;
    }
}
