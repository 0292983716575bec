<?php

namespace App\View;

/** Plain text as HTML: everything is escaped, `backticks` become keys or identifiers. */
final class Words
{
    private const KEY = '/^(F[0-9]{1,2}|Del|Esc|Enter|volume (up|down)|power)$/';

    public static function html(string $text): string
    {
        return (string) preg_replace_callback('/`([^`]+)`/', static function (array $match): string {
            $tag = preg_match(self::KEY, $match[1]) === 1 ? 'kbd' : 'code';

            return "<{$tag}>{$match[1]}</{$tag}>";
        }, e($text));
    }
}
