<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Assessment\KnownFound;
use Cobblestone\Document\Fields;
use Cobblestone\Findings\Findings;
use Cobblestone\Install\RollbackWindow;
use Cobblestone\Quantity\Moment;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;

/** The rows of the owner's sheet: what is owed, waived, accepted, what stays, and the days to remember. */
final class SheetRows
{
    /** @return list<string> */
    public static function owed(Progress $progress): array
    {
        if ($progress->isComplete()) {
            return [];
        }
        $open = array_map(static fn (Step $step): string => $step->title, $progress->open());

        return [
            'Still to be done: '.implode(', ', array_slice($open, 0, 6))
                .(count($open) > 6 ? ' and '.(count($open) - 6).' more' : '').'.',
            ...array_map(
                static fn (array $item): string => ($item['entry']->stays ? 'To be signed: ' : 'To be put back: ')
                    .$item['entry']->what.'.',
                $progress->openPutBacks(),
            )];
    }

    /**
     * @param  list<LogEntry>  $entries
     * @return list<array{what: string, agreed_by: string, role: string, text: string}>
     */
    public static function waived(Progress $progress, array $entries): array
    {
        $titles = [];
        foreach ($progress->plan->steps as $step) {
            foreach ($step->gates as $gate) {
                $titles[$gate->id] = $gate->title;
            }
        }
        $waived = [];
        foreach ($entries as $entry) {
            if ($entry->kind === EntryKind::Waived) {
                $gate = $entry->said('gate');
                $words = $entry->said('words');
                $waived[] = [
                    'what' => $words === '' ? $titles[$gate] ?? $gate : $words,
                    'agreed_by' => $entry->said('agreed_by'), 'role' => $entry->role, 'text' => $entry->said('text'),
                ];
            }
        }

        return $waived;
    }

    /**
     * @param  list<Step>  $laid
     * @return list<array{what: string, words: string, reason: string, role: string}>
     */
    public static function accepted(array $laid, Progress $progress): array
    {
        $accepted = [];
        foreach ($laid as $step) {
            $entry = $progress->laidBy($step->id);
            foreach ($step->evidence as $wanted) {
                $reason = $entry?->parts('overruled')[$wanted->id] ?? null;
                if ($entry !== null && is_string($reason)) {
                    $finding = Fields::of($entry->parts('findings')[$wanted->id] ?? []);
                    $accepted[] = [
                        'what' => $wanted->label,
                        'words' => $finding->optionalString('verdict') === 'not-read'
                            ? 'not read'
                            : $finding->optionalString('words')
                            ?? '',
                        'reason' => $reason,
                        'role' => $entry->role,
                    ];
                }
            }
        }

        return $accepted;
    }

    /**
     * @param  list<Step>  $laid
     * @return list<string>
     */
    public static function stays(Progress $progress, array $laid): array
    {
        $signed = $progress->evidence()['put-back.sign']['signed_by'] ?? null;
        $stays = [];
        foreach ($laid as $step) {
            foreach (array_filter($step->opens, static fn (PutBack $entry): bool => $entry->stays) as $entry) {
                $stays[] = "{$entry->what} stays like this on "
                    ."purpose. {$entry->why} ".($signed === null ? 'To be signed.' : "Signed: {$signed}.");
            }
            array_push($stays, ...$step->id === Acceptance::STEP ? self::known($progress) : []);
            foreach ($step->rows as $row) {
                if (($row['put back'] ?? '') === 'stays' && isset($row['where'], $row['becomes'])) {
                    $stays[] = "{$row['where']} is now \"{$row['becomes']}\".";
                }
            }
        }

        return $stays;
    }

    /** @return list<string> what is known not to work with the system that was put on (rule T4) */
    private static function known(Progress $progress): array
    {
        return array_map(
            static fn (KnownFound $one): string => "Known, and not mended so far: {$one->sentence}",
            Findings::of($progress->plan)->known,
        );
    }

    /** @return list<string> */
    public static function dates(Progress $progress, string $zone, int $now): array
    {
        $dates = [];
        $rollback = $progress->plan->rollback();
        $done = $rollback === null ? null : $progress->laidBy($rollback->step)?->at;
        if ($rollback !== null && $done !== null) {
            $dates[] = RollbackWindow::from(Moment::ofUnix($done, $zone), $rollback->days)
                ->sentence(Moment::ofUnix($now, $zone), $progress->job->rollbackLost)
                .' Do not remove the old system\'s folder before.';
        }
        $delete = $progress->evidence()['hand-over.give-back']['delete_by'] ?? null;
        if ($delete !== null) {
            $dates[] = "The copy of your files is deleted on {$delete}. Look through yours before.";
        }

        return $dates;
    }

    /**
     * @param  list<Step>  $laid
     * @return list<string>
     */
    public static function first(Progress $progress, array $laid): array
    {
        $facts = $progress->facts();
        $wrote = in_array(PathFact::SYSTEM_INSTALLED, $facts, true)
            && $progress->plan->job->kind->rules()->hasMachine();

        return [
            ...(
                in_array(PathFact::FIRST_BOOT_DONE, $facts, true)
                    ? ['You type the password yourself; nobody here has it. Keep it where only you find it.']
                    : []
            ),
            ...($wrote ? ['The first hours may be slow while the system sets itself up.'] : []),
            ...(
                in_array(PathFact::putBack('old-drive'), $facts, true)
                    ? ['Deleting is not secure erasure. Ask us before you pass the old drive on.']
                    : []
            ),
        ];
    }

    public static function cameIn(Progress $progress): string
    {
        $in = $progress->evidence()['intake.take-in'] ?? [];
        if ($in === []) {
            return '';
        }
        $finding = $progress->laidBy('hand-over.give-back')?->parts('findings')['accessories_back'] ?? null;
        $back = match (true) {
            ! is_array($finding) => '',
            Fields::of($finding)->optionalString('verdict') === 'equal' => ' All of it goes back.',
            default => ' Not all of it goes back: '.Fields::of($finding)->optionalString('words').'.',
        };

        return HandoverSheet::capital(rtrim(trim((string) ($in['condition'] ?? '')), '.')).'. With it: '
            .rtrim(trim((string) ($in['accessories'] ?? 'nothing')), '.').".{$back}";
    }
}
