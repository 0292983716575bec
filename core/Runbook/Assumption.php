<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What a path takes to be so because nobody knows better, what for, and what would settle it (rule U2). */
final readonly class Assumption
{
    /**
     * @param  string  $fact  what is not known
     * @param  string  $taken  what it is taken for, with its figure, as a sentence
     * @param  string  $rule  that needs it
     */
    public function __construct(public string $fact, public string $taken, public string $rule, public Door $door)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('fact'),
            $fields->string('taken'),
            $fields->string('rule'),
            Door::read($fields->block('door')),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'fact' => $this->fact,
            'taken' => $this->taken,
            'rule' => $this->rule,
            'door' => $this->door->toArray(),
        ];
    }
}
