<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What must hold before a step that cannot be undone; closes only on this job's facts (rule J12). */
final readonly class Gate
{
    /**
     * @param  string  $fact  what must hold
     * @param  string  $opensBy  id of the step whose evidence opens it
     * @param  list<string>  $waivableBy  roles that may waive it in writing
     * @param  list<string>  $waives  steps that fall away with a waiver
     */
    public function __construct(
        public string $id,
        public string $fact,
        public string $title,
        public string $opensBy,
        public array $waivableBy = [],
        public array $waives = [],
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'fact' => $this->fact, 'title' => $this->title, 'opens_by' => $this->opensBy, 'waivable_by' => $this->waivableBy, 'waives' => $this->waives];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['id'], $data['fact'], $data['title'], $data['opens_by'], $data['waivable_by'], $data['waives']);
    }
}
