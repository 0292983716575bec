<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** Only the firmware, stop by stop; the system stays. */
final readonly class FirmwareUpdate extends KindOfJob
{
    public function title(): string
    {
        return 'update the firmware only';
    }

    public function intro(SheetFacts $facts): string
    {
        return "{$facts->machine()} It was here to have its firmware updated; programs and files were not touched.";
    }

    public function wantsImage(): bool
    {
        return false;
    }

    public function wantsSystem(): bool
    {
        return false;
    }

    public function keepsSystem(): bool
    {
        return true;
    }

    public function updatesFirmware(): bool
    {
        return true;
    }
}
