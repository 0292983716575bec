<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Job;
use App\Models\PathRevision;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\StepState;
use Illuminate\Support\HtmlString;

/** A job: its path, one stone of it, what is open, what was decided. */
final readonly class JobPage
{
    public Plan $plan;

    public StepState $state;

    /**
     * @param  PathRevision|null  $revision  how the path that holds came about, where it is not the first
     * @param  HtmlString  $cores  drive and stick cut open
     */
    public function __construct(
        public Job $job,
        public Progress $progress,
        public Step $step,
        public ?PathRevision $revision,
        public HtmlString $cores,
    ) {
        $this->plan = $progress->plan;
        $this->state = $progress->state($step);
    }

    /** "Tansy Desktop 7 Dock, clean install from a stick · Norrel Fairlead 13 · job 0001 · slot 1" */
    public function goal(): string
    {
        $job = $this->plan->job;
        $system = trim(($job->system ?? '').' '.($job->system === null ? '' : (string) $job->edition));

        return implode(' · ', array_filter([
            ($system === '' ? '' : "{$system}, ").$job->kind->title(),
            $job->machine,
            sprintf('job %04d', $this->job->id),
            $this->job->slot === null ? '' : "slot {$this->job->slot}",
        ]));
    }

    public function hands(): string
    {
        return $this->plan->total(Presence::Hands)->likely->label();
    }

    public function walkAway(): string
    {
        return $this->plan->total(Presence::WalkAway)->likely->label();
    }

    /** "hands · about 5 min (2 min to 15 min) · Protect" */
    public function meta(): string
    {
        $time = $this->step->time;
        $tries = $this->progress->tries($this->step);

        return implode(' · ', array_filter([
            $this->step->presence->title(),
            "about {$time->likely->label()} ({$time->low->label()} to {$time->high->label()}), {$time->basis}",
            $this->step->stage->title(),
            $this->step->isOneWay() ? 'one-way' : '',
            $tries > 1 ? "try {$tries}" : '',
        ]));
    }

    public function trouble(): ?string
    {
        return $this->progress->trouble($this->step);
    }

    /** @return list<array{class: string, words: string}> gates of the stone, shut, waived or open */
    public function gates(): array
    {
        $shut = $this->progress->shutGates($this->step);

        return array_map(function (Gate $gate) use ($shut): array {
            $isShut = in_array($gate, $shut, true);
            $standing = $isShut ? 'shut' : ($this->progress->isWaived($gate) ? 'waived' : 'open');

            return [
                'class' => $isShut ? 'shut' : 'open',
                'words' => ucfirst($gate->kind->word()).": {$gate->title} · {$standing}",
            ];
        }, $this->step->gates);
    }

    /** @return list<string> what a stone that is ahead waits for */
    public function waitsFor(): array
    {
        return $this->state === StepState::Ahead
            ? array_map(PathFact::spoken(...), $this->progress->missing($this->step))
            : [];
    }

    /** @return list<array{what: string, stays: string, why: string}> what is weakened or changed at the moment */
    public function putBacks(): array
    {
        return array_map(static fn (array $open): array => [
            'what' => $open['entry']->what,
            'stays' => $open['entry']->stays ? '· stays on purpose, to be signed' : '',
            'why' => $open['entry']->why,
        ], $this->progress->openPutBacks());
    }

    /** @return array<string, mixed>|null what the path that holds changed of the one before */
    public function difference(): ?array
    {
        return $this->revision?->difference;
    }

    public function reason(): string
    {
        return (string) $this->revision?->reason;
    }
}
