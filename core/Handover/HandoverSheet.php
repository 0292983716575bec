<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;

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
        public string $intro,
        public array $owed,
        public array $done,
        public array $parts,
        public array $waived,
        public array $accepted,
        public array $stays,
        public array $dates,
        public array $first,
        public string $cameIn,
        public string $receivedBy,
    ) {
    }

    /**
     * @param  list<LogEntry>  $entries  oldest first
     * @param  int  $now  for dates that run out
     */
    public static function of(Progress $progress, array $entries, string $zone, int $now): self
    {
        $laid = self::laidInOrder($progress);
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
            IntroWords::of($progress),
            SheetRows::owed($progress),
            $parts[SheetPart::Done->value] ?? [],
            $told,
            SheetRows::waived($progress, $entries),
            SheetRows::accepted($laid, $progress),
            SheetRows::stays($progress, $laid),
            SheetRows::dates($progress, $zone, $now),
            SheetRows::first($progress, $laid),
            SheetRows::cameIn($progress), $progress->evidence()['hand-over.give-back']['received_by'] ?? '',
        );
    }

    /**
     * @return list<Step>
     */
    private static function laidInOrder(Progress $progress): array
    {
        $laid = array_values(array_filter(
            $progress->plan->steps,
            static fn (Step $step): bool => $progress->laidBy($step->id) !== null,
        ));
        usort(
            $laid,
            static fn (Step $a, Step $b): int => [
                $progress->laidBy($a->id)->at ?? 0,
                $progress->laidBy($a->id)->id ?? 0,
            ] <=> [
                $progress->laidBy($b->id)->at ?? 0,
                $progress->laidBy($b->id)->id ?? 0,
            ],
        );

        return $laid;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $lines = static fn (array $lines): array => array_map(
            static fn (SheetLine $line): array => $line->toArray(),
            $lines,
        );

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

        $more = $step->id === Acceptance::STEP ? AcceptedWords::of($step, $progress->laidBy($step->id)) : '';

        return new SheetLine(
            $step->done->words ?? $step->title,
            $progress->doneAt($step),
            $more === '' ? $proof : [...$proof, $more],
        );
    }

    /** What somebody wrote begins a sentence here. */
    public static function capital(string $words): string
    {
        return mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1);
    }
}
