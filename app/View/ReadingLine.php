<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Document\Fields;

/** Which readings a job has. */
final class ReadingLine
{
    /** @return list<string> tool and when it was read */
    public static function of(mixed $readings): array
    {
        return array_map(static fn (Fields $one): string => $one->string('tool').
            (($at = $one->optionalString('at')) === null ? '' : ', '.Words::moment($at)),
            array_values(Fields::of(['readings' => $readings])->blocks('readings')),
        );
    }
}
