<?php

namespace App\View;

/** Plain text as HTML: everything is escaped, `backticks` become keys or identifiers. */
final class Words
{
    private const KEY = '/^(F[0-9]{1,2}|Del|Esc|Enter|volume (up|down)|power)$/';

    /** "4 min ago": how long ago something was, in the coarsest unit that still says something. */
    public static function ago(int $seconds): string
    {
        return match (true) {
            $seconds < 60 => 'just now',
            $seconds < 5400 => intdiv($seconds + 30, 60).' min ago',
            $seconds < 172_800 => intdiv($seconds + 1800, 3600).' h ago',
            default => intdiv($seconds + 43_200, 86_400).' days ago',
        };
    }

    public static function html(string $text): string
    {
        return (string) preg_replace_callback('/`([^`]+)`/', static function (array $match): string {
            $tag = preg_match(self::KEY, $match[1]) === 1 ? 'kbd' : 'code';

            return "<{$tag}>{$match[1]}</{$tag}>";
        }, e($text));
    }
}
