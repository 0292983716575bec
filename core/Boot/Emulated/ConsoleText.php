<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Emulated;

/** What an emulated machine printed on its serial line, as text: without colours, cursor moves and control signs. */
final class ConsoleText
{
    /** @param  string  $bytes  as they came; what is no text in UTF-8 is replaced */
    public static function plain(string $bytes): string
    {
        // A move to another line is a new line, whatever else it is.
        $bytes = (string) preg_replace('/\e\[[0-9]*;0?1H|\e\[2J|\r\n?/', "\n", $bytes);
        $bytes = (string) preg_replace('/\e\[[0-9;?=]*[A-Za-z]|\e[()][A-Z0-9]|\e[=>cDEHM78]/', '', $bytes);
        $text = mb_scrub((string) preg_replace('/[\x00-\x09\x0B-\x1F\x7F]+/', '', $bytes));
        $lines = array_map(rtrim(...), explode("\n", $text));

        return trim((string) preg_replace('/\n{3,}/', "\n\n", implode("\n", $lines)), "\n");
    }
}
