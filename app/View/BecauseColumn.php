<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Boot\Model\Ground;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** What the rehearsal says of a stone, beside its reasons. */
final readonly class BecauseColumn
{
    /** @param  list<array<string, mixed>>  $starts */
    private function __construct(private array $starts)
    {
    }

    /** Ways into the setup left out: they are told by their keys. */
    public static function of(Plan $plan, Step $step): self
    {
        return new self(array_values(array_filter(
            $plan->assessment['rehearsal'] ?? [],
            static fn (array $start): bool => $start['step'] === $step->id && $start['wants'] !== Wants::Setup->value,
        )));
    }

    /** @return array<string, string> sentence => class; each said once */
    public function sentences(): array
    {
        $sentences = [];
        foreach ($this->starts as $start) {
            $sentences[$start['sentence']] ??= $start['succeeds'] ? '' : 'bad';
        }

        return $sentences;
    }

    /** What it rests on, and what it hangs on. */
    public function ground(): string
    {
        $first = $this->starts[0];
        $hangs = array_values(array_filter(array_column($this->starts, 'settled_by')))[0] ?? null;

        return Ground::from($first['ground'])->title($first['times']).
            ($hangs === null ? '' : '; hangs on '.Words::fact($hangs));
    }
}
