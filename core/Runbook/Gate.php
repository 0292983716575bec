<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What must hold before a stone may be laid; closes only on this job's facts (rules J12, K1). */
final readonly class Gate
{
    public GateKind $kind;

    /** What opens it, where the path does not by itself. */
    public Door $door;

    /**
     * @param  string  $fact  what must hold
     * @param  string  $opensBy  id of the step whose evidence opens it; empty where no step does
     * @param  list<string>  $waivableBy  roles that may waive it in writing
     * @param  list<string>  $waives  steps that fall away with a waiver
     * @param  list<string>  $facts  what it rests on
     */
    public function __construct(
        public string $id,
        public string $fact,
        public string $title,
        public string $opensBy,
        public array $waivableBy = [],
        public array $waives = [],
        ?GateKind $kind = null,
        ?Door $door = null,
        public string $rule = 'J12',
        public array $facts = [],
    ) {
        $this->kind = $kind ?? ($opensBy === '' ? GateKind::Answer : GateKind::Proof);
        $this->door = $door ?? ($opensBy === ''
            ? Door::before(OpensBy::Answer)
            : Door::step($opensBy, 'Lay the stone before it.'));
    }

    /** Whether the path opens it by itself, stone by stone. */
    public function opensOnTheWay(): bool
    {
        return $this->opensBy !== '';
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'fact' => $this->fact,
            'title' => $this->title,
            'opens_by' => $this->opensBy,
            'waivable_by' => $this->waivableBy,
            'waives' => $this->waives,
            'kind' => $this->kind->value,
            'opens' => $this->door->by->value,
            ...$this->door->by === OpensBy::Step ? [] : ['door' => $this->door->toArray()],
            'rule' => $this->rule,
            'facts' => $this->facts,
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
            $fields->string('fact'),
            $fields->string('title'),
            $fields->string('opens_by'),
            $fields->strings('waivable_by'),
            $fields->strings('waives'),
            $fields->optionalEnum('kind', GateKind::class),
            $fields->optional('door', Door::read(...)) ?? self::doorBefore($fields),
            $fields->optionalString('rule') ?? 'J12',
            $fields->strings('facts'),
        );
    }

    /** @throws FieldFault */
    private static function doorBefore(Fields $fields): ?Door
    {
        $by = $fields->optionalEnum('opens', OpensBy::class);

        return $by === null || $fields->string('opens_by') !== '' ? null : Door::before($by);
    }
}
