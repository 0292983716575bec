<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/** Words and numbers as tools print them, with what makers leave in unfilled fields taken for nothing. */
final class Plain
{
    /** What makers leave where nobody filled a field in; such a serial names no machine. */
    private const UNFILLED = '/^(to be filled by o\.?e\.?m\.?|default string|not specified|not available|not '
        .'present|none|unknown|no dimm|empty|system (serial number|product name|manufacturer|version)|chassis serial '
            .'number|type[0-9].*|n\/a|\[?empty\]?|[0x .-]*)$/i';

    /** A trimmed single line of at most 120 characters; null where it says nothing. */
    public static function word(mixed $value): ?string
    {
        if (! is_string($value) && ! is_int($value)) {
            return null;
        }
        $text = trim((string) preg_replace('/[\x00-\x1f\x7f]+/', ' ', (string) $value));

        return $text === '' || preg_match(self::UNFILLED, $text) === 1 ? null : mb_substr($text, 0, 120);
    }

    /**
     * Memory sizes as dmidecode prints them: "8192 MB", "8 GB", "16 GiB", all in powers of 1024.
     */
    public static function memory(string $text): ?int
    {
        if (preg_match('/^([0-9]{1,7}) ?(bytes|[kMGT])(i?B)?$/', trim($text), $match) !== 1) {
            return null;
        }

        return (int) $match[1] *
            ['bytes' => 1, 'k' => 1024, 'M' => 1024 ** 2, 'G' => 1024 ** 3, 'T' => 1024 ** 4][$match[2]];
    }

    /** "3200 MT/s", "2400 MHz" (as older versions call the same figure), "3200". */
    public static function transfers(string $text): ?int
    {
        return preg_match('/^([0-9]{2,6})(?: (?:MT\/s|MHz))?$/', trim($text), $match) === 1 ? (int) $match[1] : null;
    }

    /** A whole number as a tool wrote it, as a number or as text; 0 where it is none. */
    public static function count(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }
}
