<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Assessment\Backup\BackupFound;
use Cobblestone\Assessment\BackupEvidence;
use Cobblestone\Assessment\BackupSteps;
use Cobblestone\Findings\Findings;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;

/** What the owner reads of their files: copied, kept where they were, or given up, as it really was (rule K4). */
final class FilesWords
{
    /**
     * @param  list<SheetLine>  $laid  what was done with them
     * @return list<SheetLine>
     */
    public static function of(Progress $progress, array $laid): array
    {
        $plan = $progress->plan;
        $kind = $plan->job->kind->rules();
        $backup = Findings::of($plan)->backup;
        $copies = $plan->step(BackupSteps::COPIES) !== null;
        $not = $backup->notCovered ?? [];
        if ($laid !== []) {
            return [...$laid, ...$not === [] ? [] : [new SheetLine('Not copied: '.implode('; ', $not).'.')]];
        }
        $words = match (true) {
            ! $kind->hasMachine(), $backup?->keep === BackupFound::BLANK => null,
            $copies && self::isWaived($progress) => 'No proven copy was made; see what was waived.',
            $copies => $progress->isComplete() ? null : 'Not copied yet.',
            $kind->fitsDrive() => in_array(PathFact::PART_FITTED, $progress->facts(), true)
                ? 'They are on your old drive, which was not erased.'
                : null,
            $backup?->keep === 'nothing'
                && in_array(
                    PathFact::OWNER_AGREED,
                    $progress->facts(),
                    true,
                ) => 'You wanted nothing kept; no copy was made.',
            $kind->keepsSystem(),
            $plan->step('install.revive') !== null => 'They stayed where they are; no copy was made for this work.',
            default => null,
        };

        return $words === null ? [] : [new SheetLine($words)];
    }

    private static function isWaived(Progress $progress): bool
    {
        $check = $progress->plan->step(BackupEvidence::STEP);

        return $check !== null && $progress->state($check)->isClosed() && $progress->laidBy($check->id) === null;
    }
}
