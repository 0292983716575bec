<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

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
        return new Reason(
            "{$this->title}: {$this->chosen}. ".implode(' ', $this->reasons),
            $this->rule,
            implode(', ', $this->facts),
        );
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
        $refused = [];
        foreach ($fields->blocks('refused') as $one) {
            $refused[$one->string('option')] = $one->strings('reasons');
        }

        return new self(
            $fields->string('id'),
            $fields->string('title'),
            $fields->string('chosen'),
            $fields->strings('reasons'),
            $refused,
            $fields->strings('facts'),
            $fields->string('rule'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $refused = [];
        foreach ($this->refused as $option => $reasons) {
            $refused[] = ['option' => (string) $option, 'reasons' => $reasons];
        }

        return [
            'id' => $this->id,
            'title' => $this->title,
            'chosen' => $this->chosen,
            'reasons' => $this->reasons,
            'refused' => $refused,
            'facts' => $this->facts,
            'rule' => $this->rule,
        ];
    }
}
