<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Something that is known not to work on this model with this system and version (rule T4). */
final readonly class KnownFound
{
    public function __construct(public string $function, public string $sentence, public string $asOf)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('function'), $fields->string('sentence'), $fields->string('as_of'));
    }
}
