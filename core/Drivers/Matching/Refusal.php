<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

/** A package that claims the device and is not the one, with what decided. */
final readonly class Refusal
{
    public function __construct(public PackageOffer $offer, public RefusedBecause $because)
    {
    }
}
