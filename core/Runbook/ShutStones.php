<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Which open stones of a path cannot be laid in their turn, and why: the path is walked on in thought (rule K1). */
final readonly class ShutStones
{
    /** @param  array<string, list<Shut>>  $by  step => what shuts it; every open step is there */
    private function __construct(private array $by)
    {
    }

    /**
     * @param  list<string>  $facts  that hold now
     * @param  list<string>  $closed  steps that are laid or fell away
     */
    public static function of(Plan $plan, array $facts, array $closed): self
    {
        $held = array_fill_keys($facts, true);
        $producers = $by = [];
        foreach ($plan->steps as $step) {
            if (in_array($step->id, $closed, true)) {
                continue;
            }
            foreach ($step->after as $fact) {
                $producers[$fact] ??= $step;
            }
        }
        foreach ($plan->steps as $step) {
            if (in_array($step->id, $closed, true)) {
                continue;
            }
            $by[$step->id] = self::shutting($step, $held, $producers, $by, $plan);
            if ($by[$step->id] === []) {
                $held = array_diff_key($held + array_fill_keys($step->after, true), array_flip($step->removes));
            }
        }

        return new self($by);
    }

    /** @return list<Shut> */
    public function on(Step $step): array
    {
        return $this->by[$step->id] ?? [];
    }

    /** Whether any open stone is shut. */
    public function any(): bool
    {
        return array_filter($this->by) !== [];
    }

    /**
     * @param  array<string, true>  $held
     * @param  array<string, Step>  $producers  fact => the open step that brings it about
     * @param  array<string, list<Shut>>  $by  of the steps before
     * @return list<Shut>
     */
    private static function shutting(Step $step, array $held, array $producers, array $by, Plan $plan): array
    {
        $shut = [];
        foreach ($step->gates as $gate) {
            if (! isset($held[$gate->fact]) && ! $gate->opensOnTheWay()) {
                $shut[$gate->id] = Shut::by($gate);
            }
        }
        foreach ($step->required() as $fact) {
            if (isset($held[$fact]) || PathFact::isAnswer($fact)) {
                continue;
            }
            $producer = $producers[$fact] ?? null;
            $entry =
                $producer === null
                    ? new Shut(
                        "fact-{$fact}",
                        ucfirst(PathFact::spoken($fact)).' is wanted first.',
                        'K1',
                        GateKind::Hold,
                        OpensBy::Nothing,
                    )
                    : Shut::behind($producer);
            $shut[$entry->id] = $entry;
        }
        if (in_array(PathFact::HANDED_OVER, $step->after, true)) {
            foreach ($plan->steps as $other) {
                if ($other->id !== $step->id && ($by[$other->id] ?? []) !== []) {
                    $entry = Shut::behind($other);
                    $shut[$entry->id] ??= $entry;
                }
            }
        }

        return array_values($shut);
    }
}
