<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use InvalidArgumentException;

/** A field of a brief that cannot be used; says which and why. */
final class BriefFault extends InvalidArgumentException
{
    private function __construct(public readonly string $field, string $reason)
    {
        parent::__construct("{$field}: {$reason}");
    }

    public static function at(string $field, string $reason): self
    {
        return new self($field, $reason);
    }
}
