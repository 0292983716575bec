<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** One thing to write down before a step counts as done. */
final readonly class Evidence
{
    /**
     * @param  string  $kind  count, bytes, choice, text
     * @param  array<string, string>  $options  for a choice
     * @param  int|null  $least  the smallest number that proves it
     */
    public function __construct(public string $id, public string $label, public string $kind, public array $options = [], public ?string $hint = null, public ?int $least = null)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'label' => $this->label, 'kind' => $this->kind, 'options' => (object) $this->options, 'hint' => $this->hint, 'least' => $this->least];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['id'], $data['label'], $data['kind'], (array) $data['options'], $data['hint'] ?? null, $data['least'] ?? null);
    }
}
