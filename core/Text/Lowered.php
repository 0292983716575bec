<?php

declare(strict_types=1);

namespace Cobblestone\Text;

/** A sentence or a title as it stands inside another sentence: its first word small, unless it is a name. */
final class Lowered
{
    /** "Trust other signers" becomes small; "USB start", "M.2 slot" and "A/B" stay as they are. */
    public static function of(string $text): string
    {
        $ordinary = '/^\p{Lu}[\p{Ll}\x{2019}\'-]*(?=$|[\s,;:)?!]|\.(?:\s|$))/u';

        return preg_match($ordinary, $text) === 1 ? lcfirst($text) : $text;
    }

    /** "a laptop", "an unknown laptop", "an Elver"; a name keeps its capital. */
    public static function withArticle(string $noun): string
    {
        return (preg_match('/^[aeio]|^u(?![nst]i)|^un[^i]/i', $noun) === 1 ? 'an ' : 'a ').$noun;
    }
}
