<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Bench\ShiftLine;
use Cobblestone\Bench\Standing;
use Illuminate\Support\Carbon;

/** One job of a shift note. */
final readonly class ShiftJob
{
    public function __construct(
        public int $job,
        private string $title,
        private ?ShiftLine $line,
        private ?Standing $standing,
        private string $zone,
    ) {
    }

    public function title(): string
    {
        return sprintf('%04d · %s', $this->job, $this->title);
    }

    /** Stones laid in this shift, in one sentence; empty where there are none. */
    public function laid(): string
    {
        return $this->line === null ? '' : implode(', ', $this->line->laid);
    }

    /** @return list<string> problems that stand open */
    public function open(): array
    {
        return $this->line === null ? [] : $this->line->open;
    }

    /** @return list<string> */
    public function besides(): array
    {
        return $this->line === null ? [] : [...$this->line->ended, ...$this->line->other];
    }

    public function isTouched(): bool
    {
        return $this->line !== null;
    }

    /** @return list<string> how it stands, for whoever comes next */
    public function stands(): array
    {
        if ($this->standing === null) {
            return [];
        }
        if ($this->standing->complete) {
            return ['handed over'];
        }
        $said = [];
        foreach ($this->standing->away as $away) {
            $at = Carbon::createFromTimestamp($away['until'])->timezone($this->zone)->format('j M, H:i');
            $said[] = "{$away['title']} runs, likely until {$at}";
        }
        if ($this->standing->waits !== null) {
            $said[] = "waits for {$this->standing->waits}";
        }
        if ($this->standing->next !== null) {
            $said[] = match ($this->standing->state) {
                'trouble' => 'in trouble at: ',
                'running' => 'in hand: ',
                default => 'next: ',
            }.$this->standing->next;
        }
        if ($this->standing->putBack > 0) {
            $said[] = "{$this->standing->putBack} to put back";
        }

        return $said;
    }
}
