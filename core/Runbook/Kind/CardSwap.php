<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** Another graphics card; the system stays and gets its driver. */
final readonly class CardSwap extends KindOfJob
{
    public function title(): string
    {
        return 'swap the graphics card';
    }

    public function intro(SheetFacts $facts): string
    {
        return "{$facts->machine()} It was here to get another graphics card; programs and files were meant to stay.";
    }

    public function wantsImage(): bool
    {
        return false;
    }

    public function keepsSystem(): bool
    {
        return true;
    }
}
