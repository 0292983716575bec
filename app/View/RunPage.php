<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Job;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\StepState;

/** Run mode: one stone, what it asks, what shuts it, and what can be done at it now. */
final readonly class RunPage
{
    private const NEXT = 2;

    private const OTHERS = 4;

    public StepState $state;

    public bool $closed;

    /** @var list<RunGate> */
    public array $gates;

    /** @var list<string> what it waits for besides its gates, as people say it */
    public array $waitsFor;

    /** Whether it can be worked at now. */
    public bool $open;

    public bool $inTrouble;

    /** @param  int  $now  seconds since 1970 */
    public function __construct(
        public Job $job,
        public Progress $progress,
        public Step $step,
        public bool $mayWork,
        private int $now,
        public RunBeside $beside,
    ) {
        $this->state = $progress->state($step);
        $this->closed = $this->state->isClosed();
        $this->gates = RunGate::of($progress, $step);
        $behind = array_map(static fn ($gate): string => $gate->fact, $progress->shutGates($step));
        $missing = array_values(array_diff($progress->missing($step), $behind));
        $this->waitsFor = array_map(PathFact::spoken(...), $missing);
        $this->open = $mayWork && ! $this->closed && $this->gates === [] && $missing === [];
        $this->inTrouble = $this->state === StepState::Trouble;
    }

    public function action(string $name): string
    {
        return "/jobs/{$this->job->id}/steps/{$this->step->id}/{$name}";
    }

    /** "stone 4 of 35 · slot 2" */
    public function place(): string
    {
        return 'stone '.($this->index() + 1).' of '.count($this->progress->plan->steps).
            ($this->job->slot === null ? '' : " · slot {$this->job->slot}");
    }

    public function before(): ?Step
    {
        return $this->progress->plan->steps[$this->index() - 1] ?? null;
    }

    public function after(): ?Step
    {
        return $this->progress->plan->steps[$this->index() + 1] ?? null;
    }

    /** @return list<Step> the next open ones */
    public function next(): array
    {
        $rest = array_slice($this->progress->plan->steps, $this->index() + 1);
        $open = array_filter($rest, fn (Step $step): bool => ! $this->progress->state($step)->isClosed());

        return array_slice(array_values($open), 0, self::NEXT);
    }

    /** @return list<array{job: int, title: string, step: string, action: string}> */
    public function others(): array
    {
        return array_map(static fn (array $item): array => [
            'job' => $item['job'],
            'title' => ($item['slot'] === null ? '' : "Slot {$item['slot']}, ").$item['title'],
            'step' => $item['step'],
            'action' => $item['action'],
        ], array_slice($this->beside->others, 0, self::OTHERS));
    }

    /** @return array{step: string, title: string, until: int}|null the last done, while it can be taken back */
    public function takeBack(): ?array
    {
        $last = $this->mayWork ? $this->progress->takeBackable($this->now) : null;

        return $last instanceof LogEntry && $last->step !== null
            ? [
                'step' => $last->step,
                'title' => (string) $this->progress->plan->step($last->step)?->title,
                'until' => $last->at + Progress::TAKE_BACK,
            ]
            : null;
    }

    /** What shuts a stone further on, while this one is free: somebody can see to it meanwhile. */
    public function ahead(): ?AheadStone
    {
        $shut = $this->progress->firstShut();

        return $shut === null || $shut === $this->step || $this->progress->isShutHere($this->step)
            ? null
            : AheadStone::of($this->progress, $shut);
    }

    /** What the space bar does here: done, evidence or no. */
    public function space(): string
    {
        return match (true) {
            ! $this->open => 'no',
            $this->step->evidence !== [] => 'evidence',
            $this->step->isOneWay() || $this->inTrouble => 'no',
            default => 'done',
        };
    }

    /** Seconds since 1970 when its clock began, while it runs. */
    public function runsSince(): ?int
    {
        return $this->closed ? null : $this->progress->startedAt($this->step);
    }

    /** "laid", or about how long it takes. */
    public function takes(): string
    {
        return match (true) {
            $this->state === StepState::Waived => 'fell away with a waiver',
            $this->closed => 'laid',
            default => "about {$this->step->time->likely->label()}, {$this->step->time->basis}",
        };
    }

    public function meta(): string
    {
        $needs = array_diff($this->step->needs, ['hands']);
        $tries = $this->progress->tries($this->step);

        return implode(' · ', array_filter([
            $this->step->presence->title(),
            $this->step->isOneWay() ? 'one-way' : '',
            $needs === [] ? '' : 'needs '.implode(', ', $needs),
            $tries > 1 ? "try {$tries}" : '',
        ]));
    }

    public function isOverdue(): bool
    {
        return $this->progress->isOverdue($this->step, $this->now);
    }

    /** What to look at when it takes too long. */
    public function overdueWords(): string
    {
        $waiting = $this->step->waiting;

        return $waiting === null
            ? 'Look what is holding it up; note a problem if something is wrong.'
            : 'Usual is: '.implode('; ', $waiting->usual).". Next: {$waiting->nextTest}";
    }

    /** What is normal while it runs; null where nobody has to know. */
    public function usual(): ?string
    {
        $waiting = $this->step->waiting;

        return $waiting === null || $this->runsSince() === null || $this->isOverdue()
            ? null
            : 'Usual: '.implode('; ', $waiting->usual).'.'.
                ($waiting->restarts > 0 ? " Restarts: {$waiting->restarts}." : '');
    }

    /** Only a stone that is under way or in trouble raises the question what is normal; a detour has asked already. */
    public function raisesWhatIsNormal(): bool
    {
        return $this->beside->symptoms !== [] && $this->beside->detour === null &&
            ($this->progress->startedAt($this->step) !== null || $this->trouble() !== null);
    }

    /** Whether something has to be done before this stone may even be read. */
    public function isStopped(): bool
    {
        return ($this->beside->detour?->first() ?? []) !== [];
    }

    public function trouble(): ?string
    {
        return $this->progress->trouble($this->step);
    }

    /** The confirmation that is still asked for; nothing is begun while a problem is open. */
    public function confirmation(): ?Confirmation
    {
        return $this->inTrouble || $this->progress->isConfirmed($this->step) ? null : $this->step->confirmation;
    }

    public function asksEvidence(): bool
    {
        return $this->step->evidence !== [] && ! $this->inTrouble;
    }

    /** Words of the button for walking away; null where there is nothing to walk away from. */
    public function walksAway(): ?string
    {
        return $this->step->presence === Presence::Hands || $this->progress->isAway($this->step)
            ? null
            : ($this->step->presence === Presence::StayNear ? 'It runs, I stay near' : 'I\'m walking away');
    }

    /** Whether another stone is the one to stand at. */
    public function isElsewhere(): bool
    {
        $current = $this->progress->current();

        return $current !== null && $current->id !== $this->step->id;
    }

    /** The core of the device that the step is about. */
    public function core(): ?CoreFigure
    {
        return $this->step->worksOn === null
            ? null
            : CoreSample::on($this->progress->plan, $this->step->worksOn);
    }

    private function index(): int
    {
        return (int) array_search($this->step, $this->progress->plan->steps, true);
    }
}
