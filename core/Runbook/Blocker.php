<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Why some stones of a path must not be laid, which ones, and what would open them (rule K1). */
final readonly class Blocker
{
    /**
     * @param  string  $reason  one or two sentences for a person
     * @param  string  $rule  of the rulebook
     * @param  list<string>  $facts  what it rests on
     * @param  non-empty-list<Act>  $unsafe  what stones do that it shuts
     * @param  list<string>  $waivableBy  roles that may waive it in writing
     */
    private function __construct(
        public string $id,
        public string $reason,
        public string $rule,
        public array $facts,
        public array $unsafe,
        public Door $door,
        public array $waivableBy,
    ) {
    }

    /**
     * Shuts every stone that changes the machine or a medium.
     *
     * @param  list<string>  $facts
     * @param  list<Act>  $besides  what it makes unsafe besides, such as copying
     */
    public static function stop(
        string $id,
        string $reason,
        string $rule,
        Door $door,
        array $facts = [],
        array $besides = [],
    ): self {
        return new self($id, $reason, $rule, $facts, [...Act::changing(), ...$besides], $door, []);
    }

    /**
     * Shuts only what it names, and the handover.
     *
     * @param  non-empty-list<Act>  $unsafe
     * @param  list<string>  $facts
     */
    public static function narrow(
        string $id,
        string $reason,
        string $rule,
        array $unsafe,
        Door $door,
        array $facts = [],
    ): self {
        return new self($id, $reason, $rule, $facts, [...$unsafe, Act::HandOver], $door, []);
    }

    /** The same, which those may waive in writing. */
    public function waivableBy(string ...$roles): self
    {
        return new self(
            $this->id,
            $this->reason,
            $this->rule,
            $this->facts,
            $this->unsafe,
            $this->door,
            array_values($roles),
        );
    }

    public function covers(Step $step): bool
    {
        foreach ($step->acts as $act) {
            if (in_array($act, $this->unsafe, true)) {
                return true;
            }
        }

        return false;
    }

    /** Whether it shuts everything that changes something. */
    public function isStop(): bool
    {
        return array_filter(Act::changing(), fn (Act $act): bool => ! in_array($act, $this->unsafe, true)) === [];
    }

    public function gate(): Gate
    {
        return new Gate(
            "stop-{$this->id}",
            PathFact::cleared($this->id),
            $this->reason,
            '',
            $this->waivableBy,
            kind: $this->isStop() ? GateKind::Stop : GateKind::Hold,
            door: $this->door,
            rule: $this->rule,
            facts: $this->facts,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'reason' => $this->reason,
            'rule' => $this->rule,
            'facts' => $this->facts,
            'unsafe' => array_column($this->unsafe, 'value'),
            'opens_by' => $this->door->by->value,
            'door' => $this->door->toArray(),
            'waivable_by' => $this->waivableBy,
        ];
    }

    /**
     * @param  mixed  $data  what toArray() gave; a plain sentence in plans of an earlier format, taken for a stop
     *
     * @throws FieldFault
     */
    public static function fromStored(mixed $data): self
    {
        return is_string($data)
            ? self::stop(substr(hash('sha256', $data), 0, 12), $data, 'K1', Door::before(OpensBy::Choice))
            : self::read(Fields::of($data, 'blockers'));
    }

    /** @throws FieldFault */
    private static function read(Fields $fields): self
    {
        $unsafe = $fields->enums('unsafe', Act::class);

        return new self(
            $fields->string('id'),
            $fields->string('reason'),
            $fields->string('rule'),
            $fields->strings('facts'),
            $unsafe === [] ? throw FieldFault::at($fields->path('unsafe'), 'something it shuts is wanted.') : $unsafe,
            $fields->optional('door', Door::read(...)) ?? Door::before($fields->enum('opens_by', OpensBy::class)),
            $fields->strings('waivable_by'),
        );
    }
}
