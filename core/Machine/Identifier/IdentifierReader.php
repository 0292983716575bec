<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Identifier;

/**
 * Reads identifiers in the forms in which tools, lists and packages write them: the keyed form with backslash, the
 * kernel's alias of a module, and the normal form (rule D1).
 */
final class IdentifierReader
{
    /** Longer than any identifier, shorter than what somebody might send to keep this busy. */
    private const LONGEST = 512;

    /**
     * @param  string  $text  one or several, with commas, semicolons, bars or spaces between them
     * @return list<HardwareIdentifier> each once, in the order in which they stand there
     */
    public static function all(string $text): array
    {
        $read = [];
        foreach (preg_split('/[\s,;|]+/', trim($text)) ?: [] as $word) {
            foreach (self::word(trim($word, "\"'")) as $identifier) {
                $read[$identifier->text()] ??= $identifier;
            }
        }

        return array_values($read);
    }

    /** @return list<HardwareIdentifier> */
    private static function word(string $word): array
    {
        if ($word === '' || strlen($word) > self::LONGEST) {
            return [];
        }
        $word = strtolower($word);

        return match (true) {
            str_starts_with($word, 'other:') => NormalForm::read($word),
            str_contains($word, '\\') => KeyedForm::read($word),
            str_starts_with($word, '*') => KeyedForm::platform(substr($word, 1)),
            default => AliasForm::read($word) ?: NormalForm::read($word),
        };
    }
}
