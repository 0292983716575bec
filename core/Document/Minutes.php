<?php

declare(strict_types=1);

namespace Cobblestone\Document;

use Cobblestone\Quantity\Estimate;

/** An estimate as documents hold it: minutes at best, likely and at most, and what they rest on. */
final class Minutes
{
    /** @throws FieldFault */
    public static function read(Fields $fields): Estimate
    {
        return Estimate::minutes(
            (float) $fields->number('low'),
            (float) $fields->number('likely'),
            (float) $fields->number('high'),
        )->restingOn($fields->optionalString('basis') ?? Estimate::USUAL);
    }
}
