<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Machine\Facts\FactRegistry;
use RuntimeException;

/** The walk came to a fact that nobody knows; caught at once and answered with every value it can have. */
final class Undetermined extends RuntimeException
{
    /** @param  list<bool|int|float|string>  $values */
    private function __construct(public readonly string $fact, public readonly array $values)
    {
        parent::__construct("{$fact} is not known");
    }

    public static function fact(string $name): self
    {
        return new self($name, FactRegistry::values()[$name] ?? ['yes', 'no']);
    }
}
