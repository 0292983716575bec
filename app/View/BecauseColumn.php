<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Boot\StartFound;
use Cobblestone\Findings\Findings;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;

/** What the rehearsal says of a stone, beside its reasons. */
final readonly class BecauseColumn
{
    /** @param  list<StartFound>  $starts */
    private function __construct(private array $starts)
    {
    }

    public static function of(Plan $plan, Step $step): self
    {
        return new self(Findings::startsOf($plan, $step));
    }

    /** @return array<string, string> sentence => class; each said once */
    public function sentences(): array
    {
        $sentences = [];
        foreach ($this->starts as $start) {
            $sentences[$start->sentence] ??= $start->succeeds ? '' : 'bad';
        }

        return $sentences;
    }

    /** What it rests on, and what it hangs on. */
    public function ground(): string
    {
        $first = $this->starts[0] ?? null;
        $hangs = array_values(array_filter(array_map(
            static fn (StartFound $start): ?string => $start->settledBy,
            $this->starts,
        )))[0] ?? null;

        return $first === null
            ? ''
            : $first->ground->title($first->times).($hangs === null ? '' : '; hangs on '.Words::fact($hangs));
    }
}
