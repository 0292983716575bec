<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

/** A package that claims the device and is not the one, with what decided and what it was held against. */
final readonly class Refusal
{
    /** @param  Candidate|null  $winner  the one that was taken; null where none was */
    public function __construct(
        public Candidate $candidate,
        public RefusedBecause $because,
        public ?Candidate $winner,
        public MatchTarget $target,
    ) {
    }

    public function offer(): PackageOffer
    {
        return $this->candidate->offer;
    }
}
