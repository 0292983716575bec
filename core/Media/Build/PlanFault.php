<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

use DomainException;

/** A stick plan that cannot be built, or a document that is none; says where and what to do. */
final class PlanFault extends DomainException
{
    public static function at(string $where, string $what): self
    {
        return new self("{$where}: {$what}");
    }

    public static function notPossible(string $what): self
    {
        return new self($what);
    }
}
