<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

/** How a power-on ends, by which stones, and on what ground that is said. */
final readonly class Prediction
{
    /**
     * @param  list<Stone>  $stones  from power to where it ends; the last of a failure does not hold
     * @param  list<string>  $rests  facts that were asked on the way
     * @param  list<PassedEntry>  $passed  entries that were tried before and left
     * @param  int  $times  how often it was seen on this model
     */
    public function __construct(
        public Outcome $outcome,
        public ?string $device,
        public array $stones,
        public Ground $ground,
        public array $rests = [],
        public array $passed = [],
        public int $times = 0,
    ) {
    }

    /** The stone that is missing; null where it came through. */
    public function missing(): ?Stone
    {
        foreach ($this->stones as $stone) {
            if (! $stone->holds) {
                return $stone;
            }
        }

        return null;
    }

    /** Why it ends so, as a value: what mends it is chosen by this, never by the sentence. */
    public function because(): ?Cause
    {
        $missing = $this->missing();

        return $missing !== null ? $missing->cause : ($this->passed[0]->cause ?? null);
    }

    /** Whether a stone that holds carries this cause too. */
    public function carries(Cause $cause): bool
    {
        return array_filter($this->stones, static fn (Stone $stone): bool => $stone->cause === $cause) !== [];
    }

    /** The same in words. */
    public function cause(): string
    {
        return $this->missing()->words ?? ($this->passed[0]->words ?? '');
    }

    /**
     * The outcome that is to blame where something started, only not what was wanted: that of the first line that was
     * tried and left.
     */
    public function blamed(): Outcome
    {
        return $this->missing() === null && $this->passed !== []
            ? $this->passed[0]->outcome
            : $this->outcome;
    }

    public function grounded(Ground $ground, Outcome $outcome, int $times): self
    {
        return new self($outcome, $this->device, $this->stones, $ground, $this->rests, $this->passed, $times);
    }
}
