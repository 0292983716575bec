<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Symptom;

use Cobblestone\Catalogue\Symptom;
use Cobblestone\Catalogue\SymptomCause;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Refused;

/**
 * The way round something that went wrong at a stone: what comes first, then one cause after the other until one
 * helped (rules J6, I7, I10). What happened on it stands in the log.
 */
final readonly class Detour
{
    /**
     * @param  int  $since  when it was seen, in seconds
     * @param  bool  $first  whether what comes first is done
     * @param  list<string>  $tried  causes whose fix did not help
     */
    private function __construct(
        public Symptom $symptom,
        public int $since,
        public bool $first,
        public array $tried,
    ) {
    }

    /**
     * The detour that is open at a stone; null where none is.
     *
     * @param  list<LogEntry>  $entries  of the job, oldest first
     * @param  list<Symptom>  $known  of the catalogue
     */
    public static function at(string $step, array $entries, array $known): ?self
    {
        $open = null;
        foreach ($entries as $entry) {
            if ($entry->step !== $step) {
                continue;
            }
            $open = match ($entry->kind) {
                // What only the lead ends is not ended by saying something else.
                EntryKind::Problem => $open?->symptom->release !== null ? $open : self::begun($entry, $known),
                EntryKind::DidFirst => $open?->with(true, $open->tried),
                EntryKind::DidNotHelp => $open?->with($open->first, [...$open->tried, $entry->said('cause')]),
                EntryKind::Helped, EntryKind::Retry, EntryKind::Done, EntryKind::TakenBack, EntryKind::Unproven => null,
                default => $open,
            };
        }

        return $open;
    }

    /**
     * The detour after which only somebody else goes on, wherever on the job it is open; null where none is.
     *
     * @param  list<LogEntry>  $entries  of the job, oldest first
     * @param  list<Symptom>  $known  of the catalogue
     */
    public static function stopping(array $entries, array $known): ?self
    {
        $steps = array_unique(array_filter(array_map(static fn (LogEntry $entry): ?string => $entry->step, $entries)));
        foreach ($steps as $step) {
            $detour = self::at($step, $entries, $known);
            if ($detour?->symptom->release !== null) {
                return $detour;
            }
        }

        return null;
    }

    /** Whether what comes before everything else is still to be done. */
    public function wantsFirst(): bool
    {
        return $this->symptom->first !== [] && ! $this->first;
    }

    /**
     * The likeliest cause that was not tried; null where none is left.
     *
     * @param  array<string, int>  $helped  cause => how often its fix helped on this bench
     */
    public function next(array $helped = []): ?SymptomCause
    {
        return $this->left($helped)[0] ?? null;
    }

    /**
     * @param  array<string, int>  $helped
     * @return list<SymptomCause> not tried yet, what helped most often first, then as the entry has them
     */
    public function left(array $helped = []): array
    {
        $left = array_values(array_filter(
            $this->symptom->causes,
            fn (SymptomCause $one): bool => ! in_array($one->cause, $this->tried, true),
        ));
        usort($left, static fn (SymptomCause $a, SymptomCause $b): int => [$helped[$b->cause] ?? 0]
            <=> [$helped[$a->cause] ?? 0]);

        return $left;
    }

    /**
     * What the log keeps of a fix that was tried.
     *
     * @return array{symptom: string, cause: string, text: string}
     *
     * @throws Refused
     */
    public function tries(string $cause): array
    {
        if ($this->wantsFirst()) {
            throw Refused::evidence('step', 'What comes first has to be done first.');
        }
        foreach ($this->left() as $one) {
            if ($one->cause === $cause) {
                return ['symptom' => $this->symptom->id, 'cause' => $cause, 'text' => "{$one->cause} {$one->fix}"];
            }
        }

        throw Refused::evidence('step', 'That has been tried already, or belongs to something else.');
    }

    /**
     * Nobody goes on who may not.
     *
     * @throws Refused
     */
    public function mayGoOn(string $role): void
    {
        if ($this->symptom->release !== null && $this->symptom->release !== $role) {
            throw Refused::role('go on after this', "the {$this->symptom->release}");
        }
    }

    public function minutes(int $now): int
    {
        return intdiv(max(0, $now - $this->since) + 59, 60);
    }

    /** @param  list<Symptom>  $known */
    private static function begun(LogEntry $entry, array $known): ?self
    {
        foreach ($known as $symptom) {
            if ($symptom->id === $entry->said('symptom')) {
                return new self($symptom, $entry->at, false, []);
            }
        }

        return null;
    }

    /** @param  list<string>  $tried */
    private function with(bool $first, array $tried): self
    {
        return new self($this->symptom, $this->since, $first, $tried);
    }
}
