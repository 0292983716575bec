<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/** Where a fact comes from; a reading outranks the catalogue (rules A1, J7). */
enum Source: string
{
    case Reading = 'reading';
    case Person = 'person';
    case Catalogue = 'catalogue';
    case KindDefault = 'kind default';
    case Settled = 'settled';

    public function rank(): int
    {
        return match ($this) {
            self::Settled => 4,
            self::Reading, self::Person => 3,
            self::Catalogue => 2,
            self::KindDefault => 1,
        };
    }

    /**
     * What the catalogue says of a model is assumed until a reading or a person at the machine confirms it (rule J7).
     */
    public function certainty(): Certainty
    {
        return $this->rank() >= 3 ? Certainty::Known : Certainty::Assumed;
    }
}
