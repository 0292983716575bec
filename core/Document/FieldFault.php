<?php

declare(strict_types=1);

namespace Cobblestone\Document;

use InvalidArgumentException;

/** A place in a document that does not hold what its type wants; says which and what was wanted. */
final class FieldFault extends InvalidArgumentException
{
    private function __construct(public readonly string $field, public readonly string $reason)
    {
        parent::__construct("{$field}: {$reason}");
    }

    public static function at(string $field, string $reason): self
    {
        return new self($field, $reason);
    }
}
