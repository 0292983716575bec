<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;

/** A computed path, immutable; re-planning makes another one. */
final readonly class Plan
{
    public const FORMAT = 1;

    /**
     * @param  list<Blocker>  $blockers
     * @param  list<Question>  $questions  heaviest first
     * @param  list<Decision>  $decisions
     * @param  list<Step>  $steps  in order
     * @param  list<GatherItem>  $gather
     * @param  list<string>  $initial
     * @param  Fields  $layouts  stick and target drive; their type is above the runbook, as that of the three below
     * @param  list<array<string, mixed>>  $facts  what was known of the machine, see facts()
     * @param  list<string>  $notes
     * @param  Fields  $defaults  of the policy: what this plan rests on
     * @param  Fields  $assessment  what each part found, by its name
     * @param  list<Assumption>  $assumed  what is taken to be so while nobody knows
     * @param  list<Question>  $later  asked once the first are answered, or at the stone that needs them
     */
    public function __construct(
        public PlannedJob $job,
        public array $blockers,
        public array $questions,
        public array $decisions,
        public array $steps,
        public array $gather,
        public array $initial,
        public Fields $layouts,
        private array $facts,
        public array $notes,
        public Fields $defaults,
        public Fields $assessment,
        public array $later = [],
        public array $assumed = [],
    ) {
    }

    public function verdict(): Verdict
    {
        return match (true) {
            $this->blockers !== [] => Verdict::Stop,
            $this->shut()->any() => Verdict::Hold,
            default => Verdict::Go,
        };
    }

    /** What cannot be laid in its turn, before anything is laid. */
    public function shut(): ShutStones
    {
        return ShutStones::of($this, $this->initial, []);
    }

    /** The question whose answer sets that fact, asked first or later. */
    public function question(string $fact): ?Question
    {
        foreach ([...$this->questions, ...$this->later] as $question) {
            if ($question->fact === $fact) {
                return $question;
            }
        }

        return null;
    }

    /** @return list<Fields> what was known of the machine when it was computed */
    public function facts(): array
    {
        return array_values(Fields::of(['facts' => $this->facts])->blocks('facts'));
    }

    /** What was known of one fact then. */
    public function fact(string $name): ?Fields
    {
        $known = array_column($this->facts, null, 'name')[$name] ?? null;

        return $known === null ? null : Fields::of($known, "facts.{$name}");
    }

    public function decision(string $id): ?Decision
    {
        foreach ($this->decisions as $decision) {
            if ($decision->id === $id) {
                return $decision;
            }
        }

        return null;
    }

    public function step(string $id): ?Step
    {
        foreach ($this->steps as $step) {
            if ($step->id === $id) {
                return $step;
            }
        }

        return null;
    }

    /** The stone that brings that fact about, the last where several do; null where none does. */
    public function bringing(string $fact): ?Step
    {
        foreach (array_reverse($this->steps) as $step) {
            if ($step->bringsAbout($fact)) {
                return $step;
            }
        }

        return null;
    }

    /**
     * The same plan with other steps, for a revision that keeps what is finished.
     *
     * @param  list<Step>  $steps
     */
    public function withSteps(array $steps): self
    {
        return Copy::of($this, get_object_vars($this), ['steps' => $steps]);
    }

    /** The way back of an upgrade; null where the path makes none. */
    public function rollback(): ?Rollback
    {
        return $this->assessment->optional('rollback', Rollback::read(...));
    }

    /** Time by presence, summed over the steps. */
    public function total(Presence $presence): Estimate
    {
        $zero = Duration::seconds(0);
        $sum = Estimate::of($zero, $zero, $zero);
        foreach ($this->steps as $step) {
            $sum = $step->presence === $presence ? $sum->plus($step->time) : $sum;
        }

        return $sum;
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave, as decoded from JSON
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        $fields = Fields::of($data);
        $blockers = $fields->raw('blockers');

        return new self(
            PlannedJob::read($fields->block('job')),
            array_map(Blocker::fromStored(...), is_array($blockers) ? array_values($blockers) : []),
            $fields->each('questions', Question::read(...)),
            $fields->each('decisions', Decision::read(...)),
            $fields->each('steps', Step::read(...)),
            $fields->each('gather', GatherItem::read(...)),
            $fields->strings('initial'),
            self::part($fields, 'layouts'),
            $fields->maps('facts'),
            $fields->strings('notes'),
            self::part($fields, 'defaults'),
            self::part($fields, 'assessment'),
            $fields->each('questions_later', Question::read(...)),
            $fields->each('assumed', Assumption::read(...)),
        );
    }

    /** One that need not be there stands there empty. */
    private static function part(Fields $fields, string $name): Fields
    {
        return $fields->optionalBlock($name) ?? Fields::of([], $name);
    }

    /** @return array<string, mixed> the plan format of docs/guide/plan.md */
    public function toArray(): array
    {
        $list = static fn (array $items): array => array_map(
            static fn (Question|Decision|Blocker|GatherItem|Assumption $item): array => $item->toArray(),
            $items,
        );
        $putBack = [];
        foreach ($this->steps as $step) {
            foreach ($step->opens as $entry) {
                $putBack[] = [...$entry->toArray(), 'opened_by' => $step->id];
            }
        }

        return [
            'plan' => self::FORMAT,
            'job' => $this->job->toArray(),
            'verdict' => $this->verdict()->value,
            'blockers' => $list($this->blockers),
            'questions' => $list($this->questions),
            'questions_later' => $list($this->later),
            'assumed' => $list($this->assumed),
            'decisions' => $list($this->decisions),
            'steps' => $this->stepsWithShut(),
            'gather' => $list($this->gather),
            'put_back' => $putBack,
            'initial' => $this->initial,
            'layouts' => $this->layouts->all(),
            'totals' => [
                'hands' => $this->total(Presence::Hands)->jsonSerialize(),
                'stay_near' => $this->total(Presence::StayNear)->jsonSerialize(),
                'walk_away' => $this->total(Presence::WalkAway)->jsonSerialize(),
            ],
            'assessment' => $this->assessment->all(),
            'facts' => $this->facts,
            'notes' => $this->notes,
            'defaults' => $this->defaults->all(),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function stepsWithShut(): array
    {
        $shut = $this->shut();

        return array_map(
            static fn (Step $step): array => [
                ...$step->toArray(),
                'shut_by' => array_map(static fn (Shut $one): array => $one->toArray(), $shut->on($step)),
            ],
            $this->steps,
        );
    }
}
