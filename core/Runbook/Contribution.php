<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What one part of the core adds to a path. */
final readonly class Contribution
{
    /**
     * @param  list<Step>  $steps
     * @param  list<Decision>  $decisions
     * @param  list<Question>  $questions
     * @param  list<GatherItem>  $gather
     * @param  list<string>  $initial  facts that hold from the start
     * @param  list<Blocker>  $blockers  what shuts stones of the path
     * @param  list<Assumption>  $assumed  what is taken to be so while nobody knows
     */
    public function __construct(
        public array $steps = [],
        public array $decisions = [],
        public array $questions = [],
        public array $gather = [],
        public array $initial = [],
        public array $blockers = [],
        public array $assumed = [],
    ) {
    }

    /** @param  list<Step>  $steps */
    public function withSteps(array $steps): self
    {
        return new self(
            $steps, $this->decisions, $this->questions, $this->gather, $this->initial, $this->blockers, $this->assumed,
        );
    }

    public function and(self $other): self
    {
        return new self(
            [...$this->steps, ...$other->steps],
            [...$this->decisions, ...$other->decisions],
            [...$this->questions, ...$other->questions],
            [...$this->gather, ...$other->gather],
            [...$this->initial, ...$other->initial],
            [...$this->blockers, ...$other->blockers],
            [...$this->assumed, ...$other->assumed],
        );
    }
}
