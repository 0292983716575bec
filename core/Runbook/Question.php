<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Something a rule needs and nobody knows; says what its answer decides (rules A1, J13). */
final readonly class Question
{
    /**
     * @param  string  $fact  the fact an answer sets
     * @param  array<string, string>  $options  value => words; empty where the answer is typed
     * @param  int  $weight  how much it decides; the heaviest is asked first
     * @param  bool  $holds  whether the path must not pass its one-way step without the answer
     */
    public function __construct(
        public string $fact,
        public string $text,
        public array $options,
        public string $decides,
        public string $rule,
        public int $weight,
        public bool $holds = false,
    ) {
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['fact'], $data['text'], (array) $data['options'], $data['decides'], $data['rule'], $data['weight'], $data['holds']);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['fact' => $this->fact, 'text' => $this->text, 'options' => (object) $this->options, 'decides' => $this->decides, 'rule' => $this->rule, 'weight' => $this->weight, 'holds' => $this->holds];
    }
}
