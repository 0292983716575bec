<?php

declare(strict_types=1);

namespace App\View;

/** How the columns of a stone's table are shown. */
final class RowWords
{
    /** Class of a column: what it becomes, what it was, why. */
    public static function role(string $head): string
    {
        return match ($head) {
            'becomes', 'answer', 'must be', 'pick' => 'to',
            'was' => 'was',
            'because', 'if one picks another' => 'fine',
            default => '',
        };
    }
}
