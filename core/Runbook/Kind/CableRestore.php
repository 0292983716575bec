<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** A sealed machine restored, or revived, from a helper over a cable. */
final readonly class CableRestore extends KindOfJob
{
    public function title(): string
    {
        return 'restore a sealed machine over a cable';
    }

    public function intro(SheetFacts $facts): string
    {
        return $facts->revives
            ? "{$facts->machine()} It was here to be revived over a cable; your data was meant to stay."
            : "{$facts->machine()} {$facts->carries()}, restored over a cable.";
    }

    public function imageKind(): string
    {
        return 'device-restore';
    }
}
