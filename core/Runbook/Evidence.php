<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** One thing to write down before a step counts as done, and what it is compared with (rules L2, K3). */
final readonly class Evidence
{
    public EvidenceKind $kind;

    /**
     * @param  array<string, string>  $options  for a choice
     * @param  int|null  $least  the smallest number that proves it
     * @param  Expected|null  $expected  what it is compared with; null where there is nothing to compare with
     * @param  list<string>  $overruledBy  roles that may accept a difference, with a reason; empty where nobody may
     * @param  string  $remedy  what to do where it differs
     * @param  string  $fact  the fact of the machine that the value sets; empty where it sets none
     * @param  bool  $mayBeOpen  whether it may be left unread, which counts as a difference
     */
    public function __construct(
        public string $id,
        public string $label,
        EvidenceKind|string $kind,
        public array $options = [],
        public ?string $hint = null,
        public ?int $least = null,
        public ?Expected $expected = null,
        public array $overruledBy = [],
        public string $remedy = '',
        public string $fact = '',
        public bool $mayBeOpen = false,
    ) {
        $this->kind = is_string($kind) ? EvidenceKind::from($kind) : $kind;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'label' => $this->label, 'kind' => $this->kind->value, 'options' => (object) $this->options, 'hint' => $this->hint,
            'least' => $this->least, 'expected' => $this->expected?->toArray(), 'overruled_by' => $this->overruledBy, 'remedy' => $this->remedy,
            'fact' => $this->fact, 'may_be_open' => $this->mayBeOpen,
        ];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self(
            $data['id'], $data['label'], $data['kind'], (array) $data['options'], $data['hint'] ?? null, $data['least'] ?? null,
            isset($data['expected']) ? Expected::fromArray($data['expected']) : null, $data['overruled_by'] ?? [], $data['remedy'] ?? '',
            $data['fact'] ?? '', $data['may_be_open'] ?? false,
        );
    }
}
