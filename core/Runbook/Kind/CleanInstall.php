<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** A system from a stick onto the drive that is there. */
final readonly class CleanInstall extends KindOfJob
{
    public function title(): string
    {
        return 'clean install from a stick';
    }

    public function intro(SheetFacts $facts): string
    {
        return "{$facts->machine()} {$facts->carries()}, installed fresh.";
    }
}
