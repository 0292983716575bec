<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** The present system becomes the wanted one and keeps what it holds. */
final readonly class Upgrade extends KindOfJob
{
    public function title(): string
    {
        return 'upgrade in place';
    }

    public function intro(SheetFacts $facts): string
    {
        return "{$facts->machine()} It was here to be upgraded to {$facts->system()}; "
            .'programs and files were meant to stay.';
    }

    public function keepsSystem(): bool
    {
        return true;
    }
}
