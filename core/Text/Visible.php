<?php

declare(strict_types=1);

namespace Cobblestone\Text;

/**
 * Signs that steer how text is shown instead of being seen, written out as what they are.
 *
 * A name such as "report", a right-to-left override and "fdp.exe" reads as a harmless document; shown through this it
 * does not.
 * Source: Unicode Standard Annex #9 (directional formatting), and chapter 23.2 of the standard (layout controls).
 */
final class Visible
{
    /**
     * Controls but tab and line ends; directional marks, embeddings, overrides and isolates; zero-width signs; line
     * and paragraph separators; tags.
     */
    private const STEERING = <<<'SIGNS'
        /[\x{00}-\x{08}\x{0B}\x{0C}\x{0E}-\x{1F}\x{7F}-\x{9F}\x{061C}\x{180E}\x{200B}\x{200E}\x{200F}]
        |[\x{2028}-\x{202E}\x{2060}-\x{2069}\x{FEFF}\x{FFF9}-\x{FFFB}\x{E0000}-\x{E007F}]/ux
        SIGNS;

    /** Text of several lines: line ends and tabs stay. */
    public static function of(string $text): string
    {
        // Plain text, the most there is, goes through without a look at each sign.
        if (preg_match('/[^\x20-\x7E\t\n\r]/', $text) !== 1) {
            return $text;
        }

        return (string) preg_replace_callback(
            self::STEERING,
            static fn (array $sign): string => sprintf('⟨U+%04X⟩', mb_ord($sign[0])),
            mb_scrub($text),
        );
    }

    /** A name or another single line: line ends and tabs are written out too. */
    public static function line(string $text): string
    {
        return strtr(self::of($text), ["\r" => '⟨U+000D⟩', "\n" => '⟨U+000A⟩', "\t" => '⟨U+0009⟩']);
    }
}
