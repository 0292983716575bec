<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** A difference that somebody accepted before the stone is laid, with a reason (rule K3). */
final readonly class Signed
{
    /**
     * @param  string  $role  of the person
     * @param  string  $by  who it was, in words
     */
    public function __construct(public string $reason, public string $role, public string $by)
    {
    }
}
