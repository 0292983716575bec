<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What must hold before a stone may be laid; closes only on this job's facts (rules J12, K1). */
final readonly class Gate
{
    public GateKind $kind;

    public OpensBy $opens;

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
        ?OpensBy $opens = null,
        public string $rule = 'J12',
        public array $facts = [],
    ) {
        $this->kind = $kind ?? ($opensBy === '' ? GateKind::Answer : GateKind::Proof);
        $this->opens = $opens ?? ($opensBy === '' ? OpensBy::Answer : OpensBy::Step);
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
            'id' => $this->id, 'fact' => $this->fact, 'title' => $this->title, 'opens_by' => $this->opensBy, 'waivable_by' => $this->waivableBy,
            'waives' => $this->waives, 'kind' => $this->kind->value, 'opens' => $this->opens->value, 'rule' => $this->rule, 'facts' => $this->facts,
        ];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self(
            $data['id'], $data['fact'], $data['title'], $data['opens_by'], $data['waivable_by'], $data['waives'],
            isset($data['kind']) ? GateKind::from($data['kind']) : null, isset($data['opens']) ? OpensBy::from($data['opens']) : null,
            $data['rule'] ?? 'J12', $data['facts'] ?? [],
        );
    }
}
