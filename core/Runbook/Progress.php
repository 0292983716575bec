<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Where a job stands: its path folded with its log. The log is the only memory, so a power cut loses nothing. */
final class Progress
{
    /** Seconds in which a done can be taken back. */
    public const TAKE_BACK = 10;

    /** @var array<string, int> step => when it was done */
    private array $done = [];

    /** @var array<string, int> step => when it was started */
    private array $started = [];

    /** @var array<string, string> step => what is wrong */
    private array $trouble = [];

    /** @var array<string, true> one-way steps confirmed and not yet taken back */
    private array $confirmed = [];

    /** @var array<string, int> step => tries so far */
    private array $tries = [];

    /** @var array<string, true> */
    private array $waivedGates = [];

    /** @var array<string, true> */
    private array $waivedSteps = [];

    /** @var array<string, true> steps whose holder said that they walk away */
    private array $away = [];

    private ?ShutStones $shutStones = null;

    public readonly JobState $job;

    private ?LogEntry $lastDone = null;

    /** @var array<string, true> facts that a written waiver stands for */
    private array $overruled = [];

    /** @var list<string> */
    private array $facts;

    /** @param  list<LogEntry>  $entries oldest first */
    private function __construct(public readonly Plan $plan, array $entries)
    {
        $this->job = JobState::of($entries);
        foreach ($entries as $entry) {
            $this->apply($entry);
        }
        $this->facts = array_values(array_unique([...HeldFacts::of($plan, $this->done, array_keys($this->waivedSteps)), ...array_keys($this->overruled)]));
    }

    /** @param  list<LogEntry>  $entries oldest first */
    public static function of(Plan $plan, array $entries): self
    {
        return new self($plan, $entries);
    }

    public function state(Step $step): StepState
    {
        return match (true) {
            isset($this->waivedSteps[$step->id]) => StepState::Waived,
            isset($this->done[$step->id]) => StepState::Done,
            isset($this->trouble[$step->id]) => StepState::Trouble,
            isset($this->started[$step->id]) => StepState::Running,
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
        $away = $waiting = null;
        foreach ($this->plan->steps as $step) {
            $state = $this->state($step);
            if ($state->isClosed()) {
                continue;
            }
            if ($state === StepState::Running && isset($this->away[$step->id])) {
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

    /** @return list<Step> stones that are neither laid nor fallen away */
    public function open(): array
    {
        return array_values(array_filter($this->plan->steps, fn (Step $step): bool => ! $this->state($step)->isClosed()));
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
        return array_values(array_filter($step->gates, fn (Gate $gate): bool => ! in_array($gate->fact, $this->facts, true)));
    }

    public function startedAt(Step $step): ?int
    {
        return $this->started[$step->id] ?? null;
    }

    public function isConfirmed(Step $step): bool
    {
        return isset($this->confirmed[$step->id]);
    }

    public function tries(Step $step): int
    {
        return $this->tries[$step->id] ?? 0;
    }

    public function isAway(Step $step): bool
    {
        return isset($this->away[$step->id]);
    }

    public function isWaived(Gate $gate): bool
    {
        return isset($this->waivedGates[$gate->id]);
    }

    public function trouble(Step $step): ?string
    {
        return $this->trouble[$step->id] ?? null;
    }

    public function doneAt(Step $step): ?int
    {
        return $this->done[$step->id] ?? null;
    }

    /** The last done that can still be taken back at that moment. */
    public function takeBackable(int $now): ?LogEntry
    {
        return $this->lastDone !== null && $now - $this->lastDone->at <= self::TAKE_BACK ? $this->lastDone : null;
    }

    /** Whether the step has run past the mark after which to worry. */
    public function isOverdue(Step $step, int $now): bool
    {
        return ! isset($this->done[$step->id]) && isset($this->started[$step->id]) && $now - $this->started[$step->id] > $step->time->high->seconds;
    }

    /** @return list<array{entry: PutBack, step: string}> opened and not yet closed */
    public function openPutBacks(): array
    {
        $open = [];
        foreach ($this->plan->steps as $step) {
            foreach (isset($this->done[$step->id]) ? $step->opens : [] as $entry) {
                if (! isset($this->done[$entry->closedBy])) {
                    $open[] = ['entry' => $entry, 'step' => $step->id];
                }
            }
        }

        return $open;
    }

    /** @return list<string> ids of steps that are laid or fallen away */
    public function finished(): array
    {
        return array_keys($this->done + $this->waivedSteps);
    }

    /** @return list<string> */
    public function facts(): array
    {
        return $this->facts;
    }

    public function isComplete(): bool
    {
        return in_array(Fact::HANDED_OVER, $this->facts, true);
    }

    private function apply(LogEntry $entry): void
    {
        $id = $entry->step;
        if ($entry->kind === EntryKind::Waived) {
            $this->waive((string) ($entry->data['gate'] ?? ''), is_string($entry->data['words'] ?? null) ? $entry->data['words'] : null);
        }
        if ($id === null) {
            return;
        }
        switch ($entry->kind) {
            case EntryKind::Confirmed:
                $this->confirmed[$id] = true;
                $this->started[$id] ??= $entry->at;
                break;
            case EntryKind::Started:
                $this->started[$id] ??= $entry->at;
                break;
            case EntryKind::WalkedAway:
                $this->started[$id] ??= $entry->at;
                $this->away[$id] = true;
                break;
            case EntryKind::Problem:
                $this->trouble[$id] = (string) ($entry->data['text'] ?? '');
                break;
            case EntryKind::Retry:
                unset($this->trouble[$id], $this->away[$id]);
                $this->started[$id] = $entry->at;
                $this->tries[$id] = ($this->tries[$id] ?? 1) + 1;
                break;
            case EntryKind::Done:
                unset($this->trouble[$id], $this->away[$id]);
                $this->done[$id] = $entry->at;
                $this->lastDone = $entry;
                break;
            case EntryKind::Unproven:
                unset($this->done[$id], $this->started[$id]);
                break;
            case EntryKind::TakenBack:
                unset($this->done[$id]);
                $this->lastDone = null;
                break;
            default:
        }
    }

    /** @param  string|null  $words  what the gate said when it was waived: a waiver holds for those words and no others */
    private function waive(string $gateId, ?string $words): void
    {
        foreach ($this->plan->steps as $step) {
            foreach ($step->gates as $gate) {
                if ($gate->id === $gateId && ($words === null || $words === $gate->title)) {
                    $this->waivedGates[$gateId] = true;
                    // A gate that no step opens is overruled by the waiver itself.
                    if ($gate->waives === [] && ! $gate->opensOnTheWay()) {
                        $this->overruled[$gate->fact] = true;
                    }
                    foreach ($gate->waives as $waived) {
                        $this->waivedSteps[$waived] = true;
                    }
                }
            }
        }
    }
}
