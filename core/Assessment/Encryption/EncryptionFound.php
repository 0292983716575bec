<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** How a drive is protected, and what of this job it would ask its key for (rule A7). */
final readonly class EncryptionFound
{
    /**
     * @param  Binding  $boundTo  what its key depends on
     * @param  list<TriggerFound>  $triggers
     * @param  list<string>  $atThePrompt  what to do if it asks
     */
    public function __construct(
        public Protection $protection,
        public Binding $boundTo,
        public EncryptionBranch $branch,
        public array $triggers,
        public array $atThePrompt,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->enum('protection', Protection::class),
            // Paths of before it was kept do not say it.
            $fields->optionalEnum('bound_to', Binding::class) ?? Binding::Unknown,
            $fields->enum('branch', EncryptionBranch::class),
            $fields->each('triggers', TriggerFound::read(...)),
            $fields->strings('at_the_prompt'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'protection' => $this->protection->value,
            'title' => $this->protection->title(),
            'binding' => $this->boundTo->title(),
            'bound_to' => $this->boundTo->value,
            'branch' => $this->branch->value,
            'triggers' => array_map(static fn (TriggerFound $one): array => $one->toArray(), $this->triggers),
            'at_the_prompt' => $this->atThePrompt,
        ];
    }
}
