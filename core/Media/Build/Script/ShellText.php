<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build\Script;

use Cobblestone\Text\Visible;

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
        return implode(
            ' ',
            array_map(
                static fn (string $word): string => preg_match('#^[A-Za-z0-9_./:=+@-]+$#', $word) === 1
                    ? $word
                    : self::quoted($word),
                $words,
            ),
        );
    }

    /** One line of a comment: what would end it, or make it look like another, is written out. */
    public static function comment(string $text): string
    {
        return Visible::line($text);
    }

    /**
     * Lines that put a text into a file, each line quoted by itself: nothing in it can end the list, as it could a
     * here-document.
     *
     * @param  list<string>  $lines
     * @param  string  $file  as a word of the script
     * @return list<string>
     */
    public static function written(array $lines, string $file): array
    {
        return [
            '{',
            ...array_map(static fn (string $line): string => "    printf '%s\\n' ".self::quoted($line), $lines),
            "} >{$file}",
        ];
    }
}
