<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Two sources that say differently of one fact, and who settled it (rule A12). */
final readonly class ContradictionFound
{
    /**
     * @param  string|null  $settledBy  rule or person; null while it waits for one
     */
    public function __construct(
        public string $fact,
        public FactFound $kept,
        public FactFound $setAside,
        public ?string $settledBy,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('fact'),
            FactFound::read($fields->block('kept')),
            FactFound::read($fields->block('set_aside')),
            $fields->optionalOneOf('settled_by', ['rule', 'person']),
        );
    }
}
