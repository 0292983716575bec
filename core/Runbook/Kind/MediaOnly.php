<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

use Cobblestone\Text\Lowered;

/** A stick for a machine that is elsewhere, or for any. */
final readonly class MediaOnly extends KindOfJob
{
    public function title(): string
    {
        return 'make a stick only';
    }

    public function intro(SheetFacts $facts): string
    {
        $job = $facts->job;

        return 'A stick'.
            ($job->stick === null ? '' : ", {$job->stick},").
            ($facts->proven ? '' : ' that is to be made').
            ' with '.
            ($job->image ?? $facts->system()).
            ' for '.
            ($job->machineKind === 'any' ? 'any machine that it fits' : Lowered::withArticle(
                $job->machine === "Unknown {$job->machineKind}" ? "unknown {$job->machineKind}" : $job->machine,
            )).
            ", made for {$job->owner}.";
    }

    public function hasMachine(): bool
    {
        return false;
    }
}
