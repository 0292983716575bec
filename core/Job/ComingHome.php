<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Assessment\BackupEvidence;
use Cobblestone\Assessment\FilesHome;
use Cobblestone\Install\Keeping;
use Cobblestone\Job\Path\PathDraft;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;

/** Whatever the kind of job: what was copied off a drive that is then erased comes back onto it (rule A6). */
final class ComingHome
{
    /** What a path may bring about that files come after. */
    private const AFTER = [
        PathFact::SYSTEM_INSTALLED,
        PathFact::FIRST_BOOT_DONE,
        PathFact::ONLINE,
        PathFact::UPDATED,
        PathFact::DRIVERS_COMPLETE,
    ];

    public static function contribution(Contribution $part, JobContext $context, PathDraft $draft): Contribution
    {
        $steps = $part->steps;
        if (
            $context->kind()->keepsSystem() ||
            // A system that stays beside the new one keeps its files where they are.
            $context->machine->fact(Keeping::OTHER)->isKnown() ||
            ! self::has($steps, static fn (Step $one): bool => $one->id === BackupEvidence::STEP) ||
            ! self::has($steps, static fn (Step $one): bool => $one->does(Act::Erase)) ||
            // Onto a new drive they are carried over by a stone of their own.
            self::has($steps, static fn (Step $one): bool => $one->bringsAbout(PathFact::CARRIED_OVER))
        ) {
            return $part;
        }
        $brought = array_merge(...array_map(static fn (Step $step): array => $step->after, $steps));

        return $part->and(new Contribution(self::home($context, $draft)->steps(
            array_values(array_intersect(self::AFTER, $brought)),
        )));
    }

    private static function home(JobContext $context, PathDraft $draft): FilesHome
    {
        $wish = $context->brief->backup;
        $copied = $draft->findings->backup;
        $bytes = $copied?->bytes;
        $size = match (true) {
            $bytes === null => '',
            $wish->files === null => "About {$bytes->decimal()}.",
            default => "About {$bytes->decimal()} in ".number_format($wish->files, 0, '.', ' ').' files.',
        };

        return new FilesHome(
            $wish->folders,
            $wish->destination->name ?? 'the drive with the copy',
            $size,
            // As long as it took to get there: the slower end is the same.
            $copied->time ?? Estimate::minutes(20, 60, 240),
            $copied->notCovered ?? [],
            $context->brief->depends,
        );
    }

    /**
     * @param  list<Step>  $steps
     * @param  callable(Step): bool  $is
     */
    private static function has(array $steps, callable $is): bool
    {
        return array_filter($steps, $is) !== [];
    }
}
