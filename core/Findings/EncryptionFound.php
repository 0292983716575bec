<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** How a drive is protected, and what of this job it would ask its key for (rule A7). */
final readonly class EncryptionFound
{
    /**
     * @param  string|null  $boundTo  what its key depends on
     * @param  list<TriggerFound>  $triggers
     * @param  list<string>  $atThePrompt  what to do if it asks
     */
    public function __construct(
        public string $title,
        public ?string $boundTo,
        public array $triggers,
        public array $atThePrompt,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('title'),
            $fields->optionalString('bound_to'),
            $fields->each('triggers', TriggerFound::read(...)),
            $fields->strings('at_the_prompt'),
        );
    }
}
