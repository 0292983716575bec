<?php

declare(strict_types=1);

namespace Cobblestone\Text;

/** A number with its noun: "1 restart", "2 restarts". */
final class Counted
{
    /** @param  string|null  $many  where the plural is not the noun with an s */
    public static function of(int $count, string $one, ?string $many = null): string
    {
        return "{$count} ".($count === 1 ? $one : $many ?? "{$one}s");
    }
}
