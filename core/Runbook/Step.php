<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;

/** One stone on the path: what must hold before it, what holds after it, what it asks and why. */
final readonly class Step
{
    /**
     * @param  list<string>  $instructions  what to do, in order; `backticks` mark keys and identifiers
     * @param  list<string>  $before  facts that must hold
     * @param  list<string>  $after  facts that hold then
     * @param  list<string>  $removes  facts that no longer hold then
     * @param  list<string>  $needs  hands, slot, stick, network, power, ...
     * @param  list<Gate>  $gates
     * @param  list<Reason>  $because
     * @param  list<string>  $cautions
     * @param  list<Evidence>  $evidence
     * @param  list<PutBack>  $opens
     * @param  list<BootEvent>  $boots  power-ons, and what changes how the machine starts, in order
     * @param  list<Act>  $acts  what it does to the machine, a drive or a medium; empty where it changes nothing
     * @param  list<array<string, string>>  $rows  a table to work through: settings, answers, readings
     */
    public function __construct(
        public string $id,
        public Stage $stage,
        public string $title,
        public Presence $presence,
        public Estimate $time,
        public array $instructions = [],
        public array $before = [],
        public array $after = [],
        public array $removes = [],
        public array $needs = [],
        public array $gates = [],
        public array $because = [],
        public array $cautions = [],
        public array $evidence = [],
        public array $opens = [],
        public array $rows = [],
        public ?Confirmation $confirmation = null,
        public ?Waiting $waiting = null,
        public array $boots = [],
        public array $acts = [],
        public ?DoneWords $done = null,
    ) {
    }

    /** Whether it cannot be undone: exactly those steps carry a confirmation. */
    public function isOneWay(): bool
    {
        return $this->confirmation !== null;
    }

    /** @return list<string> facts that must hold, those behind gates included */
    public function required(): array
    {
        return array_values(array_unique([...$this->before, ...array_map(static fn (Gate $gate): string => $gate->fact, $this->gates)]));
    }

    /** @param  list<BootEvent>  $boots */
    public function booting(array $boots): self
    {
        return new self(...[...get_object_vars($this), 'boots' => $boots]);
    }

    public function waitingFor(string $fact): self
    {
        return new self(...[...get_object_vars($this), 'before' => [...$this->before, $fact]]);
    }

    /** The same with the words the owner reads of it. */
    public function saying(DoneWords $done): self
    {
        return new self(...[...get_object_vars($this), 'done' => $done]);
    }

    /** @param  list<string>  $instructions */
    public function instructed(array $instructions): self
    {
        return new self(...[...get_object_vars($this), 'instructions' => $instructions]);
    }

    public function gated(Gate $gate): self
    {
        return new self(...[...get_object_vars($this), 'gates' => [...$this->gates, $gate]]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $list = static fn (array $items): array => array_map(static fn (Gate|Reason|Evidence|PutBack|BootEvent $item): array => $item->toArray(), $items);

        return [
            'id' => $this->id, 'stage' => $this->stage->value, 'title' => $this->title, 'presence' => $this->presence->value,
            'minutes' => $this->time->jsonSerialize(), 'one_way' => $this->isOneWay(), 'instructions' => $this->instructions,
            'needs' => $this->needs, 'before' => $this->before, 'after' => $this->after, 'removes' => $this->removes,
            'gates' => $list($this->gates), 'because' => $list($this->because), 'cautions' => $this->cautions,
            'evidence' => $list($this->evidence), 'opens' => $list($this->opens), 'rows' => $this->rows,
            'confirmation' => $this->confirmation?->toArray(), 'waiting' => $this->waiting?->toArray(), 'boots' => $list($this->boots),
            'acts' => array_column($this->acts, 'value'), 'done' => $this->done?->toArray(),
        ];
    }

    /** @param  array<string, mixed>  $data what toArray() gave */
    public static function fromArray(array $data): self
    {
        return new self(
            $data['id'], Stage::from($data['stage']), $data['title'], Presence::from($data['presence']),
            Estimate::of(...array_map(Duration::minutes(...), $data['minutes'])),
            $data['instructions'], $data['before'], $data['after'], $data['removes'], $data['needs'],
            array_map(Gate::fromArray(...), $data['gates']), array_map(Reason::fromArray(...), $data['because']), $data['cautions'],
            array_map(Evidence::fromArray(...), $data['evidence']), array_map(PutBack::fromArray(...), $data['opens']), $data['rows'],
            $data['confirmation'] === null ? null : Confirmation::fromArray($data['confirmation']),
            $data['waiting'] === null ? null : Waiting::fromArray($data['waiting']),
            array_map(BootEvent::fromArray(...), $data['boots'] ?? []),
            array_map(Act::from(...), $data['acts'] ?? []),
            isset($data['done']) ? DoneWords::fromArray($data['done']) : null,
        );
    }
}
