<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The slots of a board and which of them may be filled together (rule A13). */
final readonly class MemoryBoard
{
    /**
     * @param  list<string>  $slots
     * @param  list<list<string>>  $populations
     */
    public function __construct(public array $slots, public array $populations = [], public bool $soldered = false)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('slots');

        return new self(
            $fields->strings('slots'),
            $fields->rows('populations'),
            $fields->optionalBool('soldered') ?? false,
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
