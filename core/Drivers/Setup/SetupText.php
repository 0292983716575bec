<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Setup;

/** The text of a setup-information file, from whatever it is written in (rule D2). */
final class SetupText
{
    /** No such file is longer; what is longer is something else under its name. */
    public const LONGEST = 8 * 1024 * 1024;

    /** In UTF-8. Bytes that no encoding explains are taken for the old one-byte letters of Western Europe. */
    public static function decode(string $bytes): string
    {
        $text = match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => substr($bytes, 3),
            str_starts_with($bytes, "\xFF\xFE") => self::wide(substr($bytes, 2), 'UTF-16LE'),
            str_starts_with($bytes, "\xFE\xFF") => self::wide(substr($bytes, 2), 'UTF-16BE'),
            // Without a mark: such a file begins with a sign of seven bits, and its other half is nothing.
            strlen($bytes) > 3 && $bytes[1] === "\0" && $bytes[3] === "\0" => self::wide($bytes, 'UTF-16LE'),
            strlen($bytes) > 3 && $bytes[0] === "\0" && $bytes[2] === "\0" => self::wide($bytes, 'UTF-16BE'),
            default => $bytes,
        };

        return mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'CP1252');
    }

    /** Half a sign at the end, as a cut file has it, is left out. */
    private static function wide(string $bytes, string $encoding): string
    {
        return (string) mb_convert_encoding(substr($bytes, 0, strlen($bytes) & ~1), 'UTF-8', $encoding);
    }
}
