<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Minutes;
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
     * @param  Wants|null  $opensWith  what has to be reached by keys before anything else; null where nothing has
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
        public ?Wants $opensWith = null,
        public ?WorksOn $worksOn = null,
    ) {
    }

    /** Whether it cannot be undone: exactly those steps carry a confirmation. */
    /** Whether it opens a machine. */
    public function opensMachine(): bool
    {
        return in_array(Act::OpenMachine, $this->acts, true);
    }

    public function isOneWay(): bool
    {
        return $this->confirmation !== null;
    }

    /** @return list<string> facts that must hold, those behind gates included */
    public function required(): array
    {
        return array_values(
            array_unique([
                ...$this->before,
                ...array_map(static fn (Gate $gate): string => $gate->fact, $this->gates),
            ]),
        );
    }

    /** @param  list<BootEvent>  $boots */
    public function booting(array $boots): self
    {
        return Copy::of($this, get_object_vars($this), ['boots' => $boots]);
    }

    public function waitingFor(string $fact): self
    {
        return Copy::of($this, get_object_vars($this), ['before' => [...$this->before, $fact]]);
    }

    /**
     * @param  array<string, mixed>  $changes  of its properties, by name
     */
    public function with(array $changes): self
    {
        return Copy::of($this, get_object_vars($this), $changes);
    }

    /** The same with the words the owner reads of it. */
    public function saying(DoneWords $done): self
    {
        return Copy::of($this, get_object_vars($this), ['done' => $done]);
    }

    /** It begins with a power-on that is steered by keys. */
    public function openingWith(Wants $reached): self
    {
        return Copy::of($this, get_object_vars($this), ['opensWith' => $reached]);
    }

    public function workingOn(WorksOn $device): self
    {
        return Copy::of($this, get_object_vars($this), ['worksOn' => $device]);
    }

    public function does(Act $act): bool
    {
        return in_array($act, $this->acts, true);
    }

    /** Whether it is worked at in the setup or by keys at power-on: then the ways in belong beside it. */
    public function usesWaysIn(): bool
    {
        return $this->opensWith !== null || $this->does(Act::ChangeSettings);
    }

    public function bringsAbout(string $fact): bool
    {
        return in_array($fact, $this->after, true);
    }

    /** @param  list<string>  $instructions */
    public function instructed(array $instructions): self
    {
        return Copy::of($this, get_object_vars($this), ['instructions' => $instructions]);
    }

    public function gated(Gate $gate): self
    {
        return Copy::of($this, get_object_vars($this), ['gates' => [...$this->gates, $gate]]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $list = static fn (array $items): array => array_map(
            static fn (Gate|Reason|Evidence|PutBack|BootEvent $item): array => $item->toArray(),
            $items,
        );

        return [
            'id' => $this->id,
            'stage' => $this->stage->value,
            'title' => $this->title,
            'presence' => $this->presence->value,
            'minutes' => $this->time->jsonSerialize(),
            'one_way' => $this->isOneWay(),
            'instructions' => $this->instructions,
            'needs' => $this->needs,
            'before' => $this->before,
            'after' => $this->after,
            'removes' => $this->removes,
            'gates' => $list($this->gates),
            'because' => $list($this->because),
            'cautions' => $this->cautions,
            'evidence' => $list($this->evidence),
            'opens' => $list($this->opens),
            'rows' => $this->rows,
            'confirmation' => $this->confirmation?->toArray(),
            'waiting' => $this->waiting?->toArray(),
            'boots' => $list($this->boots),
            'acts' => array_column($this->acts, 'value'),
            'done' => $this->done?->toArray(),
            'opens_with' => $this->opensWith?->value,
            'works_on' => $this->worksOn?->value,
        ];
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->enum('stage', Stage::class),
            $fields->string('title'),
            $fields->enum('presence', Presence::class),
            Minutes::read($fields->block('minutes')),
            $fields->strings('instructions'),
            $fields->strings('before'),
            $fields->strings('after'),
            $fields->strings('removes'),
            $fields->strings('needs'),
            $fields->each('gates', Gate::read(...)),
            $fields->each('because', Reason::read(...)),
            $fields->strings('cautions'),
            $fields->each('evidence', Evidence::read(...)),
            $fields->each('opens', PutBack::read(...)),
            $fields->records('rows'),
            $fields->optional('confirmation', Confirmation::read(...)),
            $fields->optional('waiting', Waiting::read(...)),
            $fields->each('boots', BootEvent::read(...)),
            $fields->enums('acts', Act::class),
            $fields->optional('done', DoneWords::read(...)),
            array_key_exists('opens_with', $fields->all())
                ? $fields->optionalEnum('opens_with', Wants::class)
                : self::steered($fields->each('boots', BootEvent::read(...))),
            $fields->optionalEnum('works_on', WorksOn::class),
        );
    }

    /**
     * What paths that were computed before steps said it begin with: the first power-on that keys steer.
     *
     * @param  list<BootEvent>  $boots
     */
    private static function steered(array $boots): ?Wants
    {
        foreach ($boots as $event) {
            if ($event->wants !== null) {
                return in_array($event->by, [BootEvent::BY_KEY, BootEvent::BY_MENU], true) ? $event->wants : null;
            }
        }

        return null;
    }
}
