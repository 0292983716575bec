<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What the log says of each stone: laid, started, in trouble, confirmed, waived. Folded once, oldest entry first. */
final class StoneRecord
{
    /** @var array<string, int> step => when it was done */
    public array $done = [];

    /** @var array<string, int> step => when it was started */
    public array $started = [];

    /** @var array<string, string> step => what is wrong */
    public array $trouble = [];

    /** @var array<string, true> one-way steps confirmed and not yet taken back */
    public array $confirmed = [];

    /** @var array<string, int> step => tries so far */
    public array $tries = [];

    /** @var array<string, true> */
    public array $waivedGates = [];

    /** @var array<string, true> */
    public array $waivedSteps = [];

    /** @var array<string, true> steps whose holder said that they walk away */
    public array $away = [];

    public ?LogEntry $lastDone = null;

    /** @var array<string, true> facts that a written waiver stands for */
    public array $overruled = [];

    /** @var array<string, LogEntry> step => the entry that laid it */
    public array $laid = [];

    /** When anything was last said of the job. */
    public int $last = 0;

    private function __construct(private readonly Plan $plan)
    {
    }

    /** @param  list<LogEntry>  $entries oldest first */
    public static function of(Plan $plan, array $entries): self
    {
        $record = new self($plan);
        foreach ($entries as $entry) {
            $record->apply($entry);
        }

        return $record;
    }

    /** @return array<string, array<string, string>> what was written down: step => evidence => value */
    public function evidence(): array
    {
        return array_map(static function (LogEntry $entry): array {
            $written = array_filter($entry->parts('evidence'), is_scalar(...));

            return array_map(strval(...), $written);
        }, $this->laid);
    }

    /** @return list<string> steps that fell away or are laid, in the order in which they were */
    public function closed(): array
    {
        $done = $this->done;
        asort($done);

        return array_values(array_unique([...array_keys($this->waivedSteps), ...array_keys($done)]));
    }

    private function apply(LogEntry $entry): void
    {
        $this->last = $entry->at;
        if ($entry->kind === EntryKind::Waived) {
            $words = $entry->data['words'] ?? null;
            $this->waive($entry->said('gate'), is_string($words) ? $words : null);
        }
        if ($entry->step !== null) {
            $this->onStone($entry->step, $entry);
        }
    }

    private function onStone(string $id, LogEntry $entry): void
    {
        switch ($entry->kind) {
            case EntryKind::Confirmed:
                $this->confirmed[$id] = true;
                $this->started[$id] ??= $entry->at;
                break;
            case EntryKind::Started:
                $this->started[$id] ??= $entry->at;
                break;
            case EntryKind::WalkedAway:
                $this->started[$id] ??= $entry->at;
                $this->away[$id] = true;
                break;
            case EntryKind::Problem:
                $this->trouble[$id] = $entry->said('text');
                break;
            case EntryKind::Helped:
            case EntryKind::Retry:
                unset($this->trouble[$id], $this->away[$id]);
                $this->started[$id] = $entry->at;
                $this->tries[$id] = ($this->tries[$id] ?? 1) + 1;
                break;
            case EntryKind::Done:
                unset($this->trouble[$id], $this->away[$id]);
                $this->done[$id] = $entry->at;
                $this->laid[$id] = $entry;
                $this->lastDone = $entry;
                break;
            case EntryKind::Unproven:
                unset($this->done[$id], $this->started[$id], $this->laid[$id]);
                break;
            case EntryKind::TakenBack:
                unset($this->done[$id], $this->laid[$id]);
                $this->lastDone = null;
                break;
            default:
        }
    }

    /**
     * @param  string|null  $words  what the gate said when it was waived: a waiver holds for those words and no others
     */
    private function waive(string $gateId, ?string $words): void
    {
        foreach ($this->plan->steps as $step) {
            foreach ($step->gates as $gate) {
                if ($gate->id === $gateId && ($words === null || $words === $gate->title)) {
                    $this->waivedGates[$gateId] = true;
                    // A gate that no step opens is overruled by the waiver itself.
                    if ($gate->waives === [] && ! $gate->opensOnTheWay()) {
                        $this->overruled[$gate->fact] = true;
                    }
                    foreach ($gate->waives as $waived) {
                        $this->waivedSteps[$waived] = true;
                    }
                }
            }
        }
    }
}
