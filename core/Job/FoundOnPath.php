<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\KindTable;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\StartFound;
use Cobblestone\Document\Fields;
use Cobblestone\Findings\Findings;
use Cobblestone\Job\Path\CollectingStick;
use Cobblestone\Job\Path\PathDraft;

/** What a plan keeps of how its path was found: each part as the document of its own type. */
final class FoundOnPath
{
    /**
     * @param  list<PowerOn>  $rehearsed
     * @param  int  $later  questions that are asked once the first are answered
     */
    public static function of(
        PathDraft $draft,
        JobContext $context,
        BootScene $scene,
        array $rehearsed,
        int $later,
    ): Fields {
        return Fields::of([
            ...self::found($draft, $context, $scene, $rehearsed)->toArray(),
            ...self::goneBy($draft, $context, $scene),
            'later_questions' => $later,
        ], 'assessment');
    }

    /** @param  list<PowerOn>  $rehearsed */
    private static function found(PathDraft $draft, JobContext $context, BootScene $scene, array $rehearsed): Findings
    {
        $kinds = $context->kind()->hasMachine() || $scene->stick === null ? [] : KindTable::of(
            $scene->stick,
            $context->image()->architecture ?? 'x86-64',
            $context->trustedSigners(),
        );
        $starts = array_map(static fn (PowerOn $start): StartFound => $start->found(), $rehearsed);

        return $draft->findings->rehearsed($context->machine->facts->contradictions, $kinds, $starts);
    }

    /** @return array<string, mixed> what sticks are made by, the rehearsal begins with, a way back is counted by */
    private static function goneBy(PathDraft $draft, JobContext $context, BootScene $scene): array
    {
        return array_filter([
            'medium' => $draft->medium?->toArray(),
            'files' => $draft->files?->toArray(),
            'collecting' => CollectingStick::wanted($context)?->toArray(),
            'rollback' => $draft->rollback?->toArray(),
            'boot' => $scene->toArray(),
        ]);
    }
}
