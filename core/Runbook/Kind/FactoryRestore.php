<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** The maker's own image back onto the drive, by the maker's recovery. */
final readonly class FactoryRestore extends KindOfJob
{
    public function title(): string
    {
        return 'put the factory image back';
    }

    public function intro(SheetFacts $facts): string
    {
        return "{$facts->machine()} {$facts->carries()}, as its maker delivered it.";
    }

    public function wantsImage(): bool
    {
        return false;
    }

    public function startsRecovery(): bool
    {
        return true;
    }
}
