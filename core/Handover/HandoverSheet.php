<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Document\Fields;
use Cobblestone\Install\RollbackWindow;
use Cobblestone\Quantity\Moment;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Step;

/**
 * What the owner takes home, from the path and from what was really laid on it: nothing that did not happen (rule
 * K4).
 */
final readonly class HandoverSheet
{
    /**
     * @param  string  $intro  what it is and what it was here for
     * @param  list<string>  $owed  what is still open; empty once it is handed over
     * @param  list<SheetLine>  $done  in the order in which it was done
     * @param  array<string, list<SheetLine>>  $parts  title => lines: files, drive, firmware, drivers, repair, licence
     * @param  list<array{what: string, agreed_by: string, role: string, text: string}>  $waived
     * @param  list<array{what: string, words: string, reason: string, role: string}>  $accepted  differences that
     *     somebody accepted
     * @param  list<string>  $stays  what is other than before, and why
     * @param  list<string>  $dates
     * @param  list<string>  $first  for the first days
     * @param  string  $cameIn  condition and accessories; empty where nobody noted them
     */
    private function __construct(
        public string $intro, public array $owed, public array $done, public array $parts, public array $waived, public array $accepted,
        public array $stays, public array $dates, public array $first, public string $cameIn, public string $receivedBy,
    ) {
    }

    /**
     * @param  list<LogEntry>  $entries  oldest first
     * @param  int  $now  for dates that run out
     */
    public static function of(Progress $progress, array $entries, string $zone, int $now): self
    {
        $laid = array_values(array_filter($progress->plan->steps, static fn (Step $step): bool => $progress->laidBy($step->id) !== null));
        usort($laid, static fn (Step $a, Step $b): int => [$progress->laidBy($a->id)->at ?? 0, $progress->laidBy($a->id)->id ?? 0] <=> [$progress->laidBy($b->id)->at ?? 0, $progress->laidBy($b->id)->id ?? 0]);
        $parts = [];
        foreach ($laid as $step) {
            if ($step->done !== null) {
                $parts[$step->done->part->value][] = self::line($step, $progress);
            }
        }
        $files = FilesWords::of($progress, $parts[SheetPart::Files->value] ?? []);
        $told = [];
        foreach (SheetPart::cases() as $part) {
            $lines = $part === SheetPart::Files ? $files : ($parts[$part->value] ?? []);
            if ($part !== SheetPart::Done && $lines !== []) {
                $told[$part->title()] = $lines;
            }
        }

        return new self(
            IntroWords::of($progress), self::owed($progress), $parts[SheetPart::Done->value] ?? [], $told, self::waived($progress, $entries),
            self::accepted($laid, $progress), self::stays($progress, $laid), self::dates($progress, $zone, $now), self::first($progress, $laid),
            self::cameIn($progress), $progress->evidence()['hand-over.give-back']['received_by'] ?? '',
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $lines = static fn (array $lines): array => array_map(static fn (SheetLine $line): array => $line->toArray(), $lines);

        return [...get_object_vars($this), 'done' => $lines($this->done), 'parts' => array_map($lines, $this->parts)];
    }

    private static function line(Step $step, Progress $progress): SheetLine
    {
        $given = $progress->evidence()[$step->id] ?? [];
        $proof = [];
        foreach ($step->evidence as $wanted) {
            if (in_array($wanted->id, $step->done->proof ?? [], true) && ($given[$wanted->id] ?? '') !== '') {
                $proof[] = EvidenceWords::of($wanted, $given[$wanted->id]);
            }
        }

        return new SheetLine($step->done->words ?? $step->title, $progress->doneAt($step), $proof);
    }

    /** @return list<string> */
    private static function owed(Progress $progress): array
    {
        if ($progress->isComplete()) {
            return [];
        }
        $open = array_map(static fn (Step $step): string => $step->title, $progress->open());

        return ['Still to be done: '.implode(', ', array_slice($open, 0, 6)).(count($open) > 6 ? ' and '.(count($open) - 6).' more' : '').'.',
            ...array_map(static fn (array $item): string => ($item['entry']->stays ? 'To be signed: ' : 'To be put '
            .'back: ').$item['entry']->what.'.', $progress->openPutBacks())];
    }

    /**
     * @param  list<LogEntry>  $entries
     * @return list<array{what: string, agreed_by: string, role: string, text: string}>
     */
    private static function waived(Progress $progress, array $entries): array
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
    private static function accepted(array $laid, Progress $progress): array
    {
        $accepted = [];
        foreach ($laid as $step) {
            $entry = $progress->laidBy($step->id);
            foreach ($step->evidence as $wanted) {
                $reason = $entry?->parts('overruled')[$wanted->id] ?? null;
                if ($entry !== null && is_string($reason)) {
                    $finding = Fields::of($entry->parts('findings')[$wanted->id] ?? []);
                    $accepted[] = ['what' => $wanted->label, 'words' => $finding->optionalString('verdict') === 'not-read' ? 'not read' : $finding->optionalString('words') ?? '', 'reason' => $reason, 'role' => $entry->role];
                }
            }
        }

        return $accepted;
    }

    /**
     * @param  list<Step>  $laid
     * @return list<string>
     */
    private static function stays(Progress $progress, array $laid): array
    {
        $signed = $progress->evidence()['put-back.sign']['signed_by'] ?? null;
        $stays = [];
        foreach ($laid as $step) {
            foreach (array_filter($step->opens, static fn (PutBack $entry): bool => $entry->stays) as $entry) {
                $stays[] = "{$entry->what} stays like this on "
                    ."purpose. {$entry->why} ".($signed === null ? 'To be signed.' : "Signed: {$signed}.");
            }
            foreach ($step->rows as $row) {
                if (($row['put back'] ?? '') === 'stays' && isset($row['where'], $row['becomes'])) {
                    $stays[] = "{$row['where']} is now \"{$row['becomes']}\".";
                }
            }
        }

        return $stays;
    }

    /** @return list<string> */
    private static function dates(Progress $progress, string $zone, int $now): array
    {
        $dates = [];
        $rollback = $progress->plan->rollback();
        $done = $rollback === null ? null : $progress->laidBy($rollback->step)?->at;
        if ($rollback !== null && $done !== null) {
            $dates[] = RollbackWindow::from(Moment::ofUnix($done, $zone), $rollback->days)->sentence(Moment::ofUnix($now, $zone), $progress->job->rollbackLost).' Do not remove the old system\'s folder before.';
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
    private static function first(Progress $progress, array $laid): array
    {
        $facts = $progress->facts();
        $wrote = in_array(PathFact::SYSTEM_INSTALLED, $facts, true) && $progress->plan->job->kind->rules()->hasMachine();

        return [
            ...(in_array(PathFact::FIRST_BOOT_DONE, $facts, true) ? ['You type the password yourself; nobody here has '
            .'it. Keep it where only you find it.'] : []),
            ...($wrote ? ['The first hours may be slow while the system sets itself up.'] : []),
            ...(in_array(PathFact::putBack('old-drive'), $facts, true) ? ['Deleting is not secure erasure. Ask us '
            .'before you pass the old drive on.'] : []),
        ];
    }

    private static function cameIn(Progress $progress): string
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

        return self::capital(rtrim(trim((string) ($in['condition'] ?? '')), '.')).'. With it: '.rtrim(trim((string) ($in['accessories'] ?? 'nothing')), '.').".{$back}";
    }

    /** What somebody wrote begins a sentence here. */
    private static function capital(string $words): string
    {
        return mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1);
    }
}
