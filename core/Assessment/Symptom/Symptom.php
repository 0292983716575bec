<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Symptom;

use Cobblestone\Assessment\Condition;
use Cobblestone\Machine\FactSheet;

/** Something that is seen: whether it is normal, when to worry, what causes it and what to try next (rule J6). */
final readonly class Symptom
{
    public const NORMAL = ['yes' => 'normal', 'for-a-while' => 'normal for a while', 'no' => 'not normal'];

    /**
     * @param  list<string>  $seen  other words for it
     * @param  list<string>  $steps  identifiers of steps it belongs to, or their beginnings
     * @param  list<array{cause: string, fix: string}>  $causes  likeliest first
     * @param  list<Condition>  $appliesIf
     * @param  list<Condition>  $notIf
     */
    private function __construct(
        public string $id,
        public string $name,
        public array $seen,
        public string $normal,
        public ?float $worryAfterMinutes,
        public array $steps,
        public array $causes,
        public ?string $nextTest,
        private array $appliesIf,
        private array $notIf,
    ) {
    }

    /** @param  array<string, mixed>  $entry a document of the issues catalogue */
    public static function fromArray(array $entry): self
    {
        return new self(
            $entry['id'], $entry['name'], $entry['seen'], $entry['normal'], $entry['worry_after_minutes'] ?? null, $entry['steps'] ?? [], $entry['causes'], $entry['next_test'] ?? null,
            array_map(Condition::fromArray(...), $entry['applies_if'] ?? []), array_map(Condition::fromArray(...), $entry['not_if'] ?? []),
        );
    }

    /** Whether it can be meant on this job; what is not known does not rule it out. */
    public function applies(FactSheet $facts): bool
    {
        foreach ($this->appliesIf as $condition) {
            if ($condition->holds($facts) === false) {
                return false;
            }
        }
        foreach ($this->notIf as $condition) {
            if ($condition->holds($facts) === true) {
                return false;
            }
        }

        return true;
    }

    public function belongsTo(string $step): bool
    {
        return array_filter($this->steps, static fn (string $start): bool => str_starts_with($step, $start)) !== [];
    }

    /** "normal for up to 30 min", "not normal" */
    public function standing(): string
    {
        return $this->worryAfterMinutes === null ? self::NORMAL[$this->normal] : self::NORMAL[$this->normal].', worry after '.(int) ceil($this->worryAfterMinutes).' min';
    }
}
