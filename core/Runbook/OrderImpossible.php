<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use DomainException;

/** Steps whose facts cannot be brought into one order; says which steps. */
final class OrderImpossible extends DomainException
{
    /** @param  list<string>  $steps */
    private function __construct(string $message, public readonly array $steps)
    {
        parent::__construct($message);
    }

    public static function unmeetable(string $step, string $fact): self
    {
        return new self(
            "Step \"{$step}\" waits for \"{$fact}\", but no step brings it about and it does not hold at the start.",
            [$step],
        );
    }

    /** @param  list<string>  $steps in the order of waiting, first one repeated at the end */
    public static function cycle(array $steps): self
    {
        return new self('These steps wait for each other: '.implode(' → ', $steps).'.', $steps);
    }

    public static function twice(string $step): self
    {
        return new self("Two steps carry the identifier \"{$step}\".", [$step]);
    }
}
