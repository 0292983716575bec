<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What is known of one fact: its value, how sure, from where, when. */
final readonly class FactFound
{
    /**
     * @param  bool|int|float|string|list<mixed>|null  $value
     */
    public function __construct(
        public string $name,
        public bool|int|float|string|array|null $value,
        public string $certainty,
        public string $origin,
        public ?string $at,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->told('value'),
            $fields->string('certainty'),
            $fields->string('origin'),
            $fields->optionalString('at'),
        );
    }
}
