<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What was decided, what was refused and why: the because panel, the plan and the tests read this one value. */
final readonly class Decision
{
    /**
     * @param  list<string>  $reasons  why the chosen option
     * @param  array<string, list<string>>  $refused  option => reasons against it
     * @param  list<string>  $facts  names of facts it rests on
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $chosen,
        public array $reasons,
        public array $refused,
        public array $facts,
        public string $rule,
    ) {
    }

    public function asReason(): Reason
    {
        return new Reason("{$this->title}: {$this->chosen}. ".implode(' ', $this->reasons), $this->rule, implode(', ', $this->facts));
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['id'], $data['title'], $data['chosen'], $data['reasons'], array_column($data['refused'], 'reasons', 'option'), $data['facts'], $data['rule']);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $refused = [];
        foreach ($this->refused as $option => $reasons) {
            $refused[] = ['option' => (string) $option, 'reasons' => $reasons];
        }

        return ['id' => $this->id, 'title' => $this->title, 'chosen' => $this->chosen, 'reasons' => $this->reasons, 'refused' => $refused, 'facts' => $this->facts, 'rule' => $this->rule];
    }
}
