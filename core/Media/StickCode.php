<?php

declare(strict_types=1);

namespace Cobblestone\Media;

/** The code on a stick's printed label: what is on it, in lines that need no network to be read (rule M15). */
final readonly class StickCode
{
    private const HEAD = 'COBBLESTONE STICK 1';

    /** Signs of a checksum that are on the label; as many are compared. */
    private const SHORT = 16;

    /**
     * @param  string  $stick  its number in the register
     * @param  string  $mark  beginning of the mark of what was proven on it; empty where there is none
     */
    private function __construct(public string $stick, public string $mark)
    {
    }

    /** @param  array<string, mixed>  $content  what was proven on the stick */
    public static function text(string $stick, array $content): string
    {
        $said = static fn (string $field, string $else): string => is_string($content[$field] ?? null)
            ? trim((string) preg_replace('/\s+/', ' ', $content[$field]))
            : $else;

        return implode("\n", [
            self::HEAD,
            $stick,
            $said('title', ''),
            'label '.$said('label', 'none'),
            'image '.substr($said('image_sha256', 'not hashed'), 0, self::SHORT),
            'mark '.substr($said('fingerprint', ''), 0, self::SHORT),
            substr($said('built_at', ''), 0, 10),
        ]);
    }

    /** Null where the text is no such code. */
    public static function read(string $text): ?self
    {
        $lines = array_map(trim(...), preg_split('/\R/', trim($text)) ?: []);
        if (($lines[0] ?? '') !== self::HEAD || ! isset($lines[1])) {
            return null;
        }
        preg_match('/^mark ([0-9a-f]+)$/m', implode("\n", $lines), $mark);

        return new self($lines[1], $mark[1] ?? '');
    }

    /** Whether what it says is what was proven on the stick last. */
    public function isOf(?string $fingerprint): bool
    {
        return $this->mark !== '' && $fingerprint !== null && str_starts_with($fingerprint, $this->mark);
    }
}
