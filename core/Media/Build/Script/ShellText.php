<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build\Script;

/** Words of a shell script that cannot be taken for anything else. */
final class ShellText
{
    public static function quoted(string|int $word): string
    {
        return "'".str_replace("'", "'\\''", (string) $word)."'";
    }

    /** @param  list<string>  $words */
    public static function command(array $words): string
    {
        return implode(' ', array_map(static fn (string $word): string => preg_match('#^[A-Za-z0-9_./:=+@-]+$#', $word) === 1 ? $word : self::quoted($word), $words));
    }

    /** One line of a comment: control characters would end it. */
    public static function comment(string $text): string
    {
        return (string) preg_replace('/[\x00-\x1F\x7F]/', ' ', $text);
    }
}
