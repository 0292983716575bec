<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Where a job stands: its path folded with its log. The log is the only memory, so a power cut loses nothing. */
final class Progress
{
    /** Seconds in which a done can be taken back. */
    public const TAKE_BACK = 10;

    private readonly StoneRecord $record;

    private ?ShutStones $shutStones = null;

    public readonly JobState $job;

    /** @var list<string> */
    private array $facts;

    /** @param  list<LogEntry>  $entries oldest first */
    private function __construct(public readonly Plan $plan, array $entries)
    {
        $this->job = JobState::of($entries);
        $this->record = StoneRecord::of($plan, $entries);
        $this->facts = array_values(
            array_unique([
                ...HeldFacts::after($plan->initial, array_filter(array_map($plan->step(...), $this->finished()))),
                ...array_keys($this->record->overruled),
            ]),
        );
    }

    /** @param  list<LogEntry>  $entries oldest first */
    public static function of(Plan $plan, array $entries): self
    {
        return new self($plan, $entries);
    }

    public function state(Step $step): StepState
    {
        return match (true) {
            isset($this->record->waivedSteps[$step->id]) => StepState::Waived,
            isset($this->record->done[$step->id]) => StepState::Done,
            isset($this->record->trouble[$step->id]) => StepState::Trouble,
            isset($this->record->started[$step->id]) => StepState::Running,
            $this->missing($step) === [] => StepState::Ready,
            default => StepState::Ahead,
        };
    }

    /**
     * The stone to stand at: the first that is not laid. A stone somebody walked away from is passed, and so are those
     * that only wait for it; one that is shut is never passed (rule K1).
     */
    public function current(): ?Step
    {
        $away = null;
        foreach ($this->plan->steps as $step) {
            $state = $this->state($step);
            if ($state->isClosed()) {
                continue;
            }
            if ($state === StepState::Running && isset($this->record->away[$step->id])) {
                $away ??= $step;
            } elseif ($state !== StepState::Ahead || $this->isShutHere($step) || $away === null) {
                return $step;
            }
        }

        return $away;
    }

    /** @return list<Shut> what keeps an open stone from being laid in its turn, as things stand */
    public function shut(Step $step): array
    {
        return $this->shutStones()->on($step);
    }

    /** Whether somebody has to open this stone itself, by an answer, a reading or a waiver. */
    public function isShutHere(Step $step): bool
    {
        return array_filter($this->shut($step), static fn (Shut $shut): bool => $shut->isHere()) !== [];
    }

    /** @return list<Question> asked now: what was done meanwhile may have made an answer pointless */
    public function asked(): array
    {
        $laid = array_filter($this->plan->steps, fn (Step $step): bool => $this->laidBy($step->id) !== null);

        return array_values(
            array_filter(
                $this->plan->questions,
                static fn (Question $question): bool => array_filter($laid, $question->endsWith(...)) === [],
            ),
        );
    }

    /** The first open stone that somebody has to open itself, wherever the job stands; null where the path is free. */
    public function firstShut(): ?Step
    {
        foreach ($this->isComplete() ? [] : $this->open() as $step) {
            if ($this->isShutHere($step)) {
                return $step;
            }
        }

        return null;
    }

    /** @return list<Step> stones that are neither laid nor fallen away */
    public function open(): array
    {
        return array_values(
            array_filter($this->plan->steps, fn (Step $step): bool => ! $this->state($step)->isClosed()),
        );
    }

    private function shutStones(): ShutStones
    {
        return $this->shutStones ??= ShutStones::of($this->plan, $this->facts, $this->finished());
    }

    /** @return list<string> facts the step waits for and that do not hold, gates included */
    public function missing(Step $step): array
    {
        return array_values(array_diff($step->required(), $this->facts));
    }

    /** @return list<Gate> gates of the step that are shut */
    public function shutGates(Step $step): array
    {
        return array_values(
            array_filter($step->gates, fn (Gate $gate): bool => ! in_array($gate->fact, $this->facts, true)),
        );
    }

    /** @return array<string, array<string, string>> what was written down so far: step => evidence => value */
    public function evidence(): array
    {
        return $this->record->evidence();
    }

    /** The log entry that laid a stone; null while it is open. */
    public function laidBy(string $step): ?LogEntry
    {
        return $this->record->laid[$step] ?? null;
    }

    /** Seconds since the stone's clock started, or since the last thing that was said of the job. */
    public function elapsed(Step $step, int $now): int
    {
        return max(0, $now - ($this->record->started[$step->id] ?? $this->record->last));
    }

    /** Whether it is laid in less than a third of its low estimate: then its clock says nothing (rule K3). */
    public function isQuick(Step $step, int $now): bool
    {
        return 3 * $this->elapsed($step, $now) < $step->time->low->seconds;
    }

    public function startedAt(Step $step): ?int
    {
        return $this->record->started[$step->id] ?? null;
    }

    public function isConfirmed(Step $step): bool
    {
        return isset($this->record->confirmed[$step->id]);
    }

    public function tries(Step $step): int
    {
        return $this->record->tries[$step->id] ?? 0;
    }

    public function isAway(Step $step): bool
    {
        return isset($this->record->away[$step->id]);
    }

    public function isWaived(Gate $gate): bool
    {
        return isset($this->record->waivedGates[$gate->id]);
    }

    public function trouble(Step $step): ?string
    {
        return $this->record->trouble[$step->id] ?? null;
    }

    public function doneAt(Step $step): ?int
    {
        return $this->record->done[$step->id] ?? null;
    }

    /** The last done that can still be taken back at that moment. */
    public function takeBackable(int $now): ?LogEntry
    {
        return $this->record->lastDone !== null && $now - $this->record->lastDone->at <= self::TAKE_BACK
            ? $this->record->lastDone
            : null;
    }

    /** Whether the step has run past the mark after which to worry. */
    public function isOverdue(Step $step, int $now): bool
    {
        return ! isset($this->record->done[$step->id]) &&
            isset($this->record->started[$step->id]) &&
            $now - $this->record->started[$step->id] > $step->time->high->seconds;
    }

    /** @return list<array{entry: PutBack, step: string}> opened and not yet closed */
    public function openPutBacks(): array
    {
        $open = [];
        foreach ($this->plan->steps as $step) {
            foreach (isset($this->record->done[$step->id]) ? $step->opens : [] as $entry) {
                if (! isset($this->record->done[$entry->closedBy])) {
                    $open[] = ['entry' => $entry, 'step' => $step->id];
                }
            }
        }

        return $open;
    }

    /** @return list<string> ids of steps that fell away or are laid, in the order in which they were */
    public function finished(): array
    {
        return $this->record->closed();
    }

    /** @return list<string> */
    public function facts(): array
    {
        return $this->facts;
    }

    public function isComplete(): bool
    {
        return in_array(PathFact::HANDED_OVER, $this->facts, true);
    }
}
