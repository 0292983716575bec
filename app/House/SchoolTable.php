<?php

declare(strict_types=1);

namespace App\House;

use Cobblestone\Policy\Policy;
use Cobblestone\Policy\Schools;

/** Every school of the bench and every figure that a plan echoes, as a page; made from the rules themselves. */
final class SchoolTable
{
    public static function markdown(): string
    {
        $lines = [
            '# Schools and figures',
            '',
            'Written by `php artisan cobblestone:house` from `core/Policy`. The bench chooses on *Policy*; a brief '
                .'departs from it under `policy`, by these names. The first option of each is taken '
                .'where nobody has chosen.',
        ];
        foreach (Schools::all() as $school) {
            array_push($lines, '', "## {$school->title}", '', "`{$school->name}`, rule {$school->rule}", '');
            foreach ($school->options as $option => $means) {
                $lines[] = "- `{$option}`: {$means}";
            }
        }
        array_push($lines, '', '## Figures', '', '| figure | default |', '| --- | ---: |');
        foreach (Policy::figures() as $name => $figure) {
            $lines[] = "| `{$name}` | {$figure} |";
        }

        return implode("\n", $lines)."\n";
    }
}
