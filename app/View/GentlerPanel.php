<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Assessment\Route\GentlerFound;
use Cobblestone\Assessment\Route\WeighedRung;
use Cobblestone\Findings\Findings;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\Plan;

/** What would do with less than a job that loses what is on the machine, as a list on a screen. */
final readonly class GentlerPanel
{
    private const A_LOOK = 3;

    private function __construct(private GentlerFound $found, private JobKind $kind)
    {
    }

    /** Null where nothing is gentler than this job. */
    public static function of(Plan $plan): ?self
    {
        $found = Findings::of($plan)->gentler;

        return $found === null ? null : new self($found, $plan->job->kind);
    }

    public function title(): string
    {
        return "Gentler than “{$this->kind->title()}”";
    }

    public function isSaid(): bool
    {
        return $this->found->why !== null;
    }

    /** What it rests on, and how many of them may still do. */
    public function sentence(): string
    {
        if ($this->found->why === null) {
            return 'Say what it is set up anew for: a fault may be mended by something that keeps what is there.';
        }
        $why = 'Wanted because: '.(FactRegistry::offers('wish.why')[$this->found->why] ?? $this->found->why).'.';
        $count = array_count_values(array_column($this->found->ladder, 'standing'));
        $left = ($count['works'] ?? 0) + ($count['possible'] ?? 0);

        return match (true) {
            $this->found->ladder === [] => "{$why} Nothing gentler gives that.",
            $left === 0 => "{$why} Nothing gentler is left.",
            default => "{$why} Of ".count($this->found->ladder)." gentler ways {$left} may still do.",
        };
    }

    /** @return list<array<string, mixed>> those that may still do or were tried, gentlest first */
    public function rungs(): array
    {
        return $this->rows(static fn (WeighedRung $rung): bool => $rung->standing !== 'out');
    }

    /** @return list<array<string, mixed>> the gentlest few: while a kind is chosen, a look is enough */
    public function first(): array
    {
        return array_slice($this->rungs(), 0, self::A_LOOK);
    }

    /** @return list<array<string, mixed>> */
    public function rest(): array
    {
        return array_slice($this->rungs(), self::A_LOOK);
    }

    /** @return list<array<string, mixed>> those that cannot be meant here */
    public function out(): array
    {
        return $this->rows(static fn (WeighedRung $rung): bool => $rung->standing === 'out');
    }

    /**
     * @param  callable(WeighedRung): bool  $shown
     * @return list<array<string, mixed>>
     */
    private function rows(callable $shown): array
    {
        return array_map(RungRow::of(...), array_values(array_filter($this->found->ladder, $shown)));
    }
}
