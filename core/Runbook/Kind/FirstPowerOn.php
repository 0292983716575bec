<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** A new build: looked over, started once, installed. */
final readonly class FirstPowerOn extends KindOfJob
{
    public function title(): string
    {
        return 'first power-on of a new build';
    }

    public function intro(SheetFacts $facts): string
    {
        return "{$facts->machine()} It is a new build. {$facts->carries()}.";
    }

    public function isNewBuild(): bool
    {
        return true;
    }
}
