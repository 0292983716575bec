<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** One thing that keeps a stone from being laid in its turn, and what opens it (rule K1). */
final readonly class Shut
{
    /** @param  list<string>  $waivableBy  roles that may waive it in writing */
    public function __construct(
        public string $id,
        public string $reason,
        public string $rule,
        public GateKind $kind,
        public Door $door,
        public array $waivableBy = [],
    ) {
    }

    public static function by(Gate $gate): self
    {
        return new self($gate->id, $gate->title, $gate->rule, $gate->kind, $gate->door, $gate->waivableBy);
    }

    public static function behind(Step $step): self
    {
        return new self(
            "behind-{$step->id}",
            "\"{$step->title}\" comes before it and is shut.",
            'K1',
            GateKind::Proof,
            Door::step($step->id, "Lay \"{$step->title}\" first."),
        );
    }

    /** Whether somebody has to do something about it here, and not at a stone before. */
    public function isHere(): bool
    {
        return $this->door->by !== OpensBy::Step;
    }

    /** "stop: …", "hold: …", "needs an answer: …". */
    public function sentence(): string
    {
        return "{$this->kind->word()}: {$this->reason}";
    }

    /**
     * @return array{id: string, reason: string, rule: string, opens_by: string, door: array<string, mixed>,
     *     waivable_by: list<string>}
     */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'reason' => $this->reason,
            'rule' => $this->rule,
            'opens_by' => $this->door->by->value,
            'door' => $this->door->toArray(),
            'waivable_by' => $this->waivableBy,
        ];
    }
}
