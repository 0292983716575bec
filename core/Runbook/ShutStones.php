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
        $laid = array_fill_keys($closed, true);
        $open = array_filter($plan->steps, static fn (Step $step): bool => ! isset($laid[$step->id]));
        $producers = $by = [];
        foreach ($open as $step) {
            foreach ($step->after as $fact) {
                $producers[$fact] ??= $step;
            }
        }
        foreach ($open as $step) {
            $by[$step->id] = self::shutting($step, $held, $producers, $by, $plan);
            if ($by[$step->id] === []) {
                self::lay($step, $held);
            }
        }

        return new self($by);
    }

    /** @param  array<string, true>  $held  facts that hold; what the stone brings about and takes away is taken over */
    private static function lay(Step $step, array &$held): void
    {
        foreach ($step->after as $fact) {
            $held[$fact] = true;
        }
        foreach ($step->removes as $fact) {
            unset($held[$fact]);
        }
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
                        Door::none('No stone of this path brings it about: compute the path again.'),
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
