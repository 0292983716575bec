<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Assessment\Symptom\Detour;
use Cobblestone\Catalogue\SymptomCause;

/** The detour at a stone: what went wrong, what comes first, which cause is tried now, and what did not help. */
final readonly class DetourCard
{
    /** @param  array<string, int>  $helped  cause => how often its fix helped on this bench */
    public function __construct(public Detour $detour, private array $helped, private int $now)
    {
    }

    public function title(): string
    {
        return $this->detour->symptom->name;
    }

    public function since(): string
    {
        return 'for '.$this->detour->minutes($this->now).' min';
    }

    /** @return list<string> what is still to be done before anything else */
    public function first(): array
    {
        return $this->detour->wantsFirst() ? $this->detour->symptom->first : [];
    }

    public function cause(): ?SymptomCause
    {
        return $this->detour->wantsFirst() ? null : $this->detour->next($this->helped);
    }

    /** "2 of 3 · helped here 4 times" */
    public function place(): string
    {
        $cause = $this->cause();
        $times = $this->helped[$cause->cause ?? ''] ?? 0;
        $at = count($this->detour->tried) + 1;

        return "{$at} of ".count($this->detour->symptom->causes).match ($times) {
            0 => '',
            1 => ' · helped here once',
            default => " · helped here {$times} times",
        };
    }

    /** @return list<string> */
    public function tried(): array
    {
        return $this->detour->tried;
    }

    public function isSpent(): bool
    {
        return ! $this->detour->wantsFirst() && $this->detour->next() === null;
    }

    public function nextTest(): string
    {
        return $this->detour->symptom->nextTest ?? '';
    }

    public function onlyLead(): bool
    {
        return $this->detour->symptom->release === 'lead';
    }
}
