<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use OutOfBoundsException;

/** An identifier that the catalogue does not hold. */
final class UnknownEntry extends OutOfBoundsException
{
    private function __construct(string $message, public readonly string $field)
    {
        parent::__construct($message);
    }

    /** @param  list<string>  $known */
    public static function of(string $field, string $kind, string $id, array $known): self
    {
        $shown = mb_substr($id, 0, 60);
        $near = self::nearest($id, $known);
        $hint = match (true) {
            $known === [] => "The catalogue holds no {$kind} at all: describe it in the brief instead.",
            $near !== null => "Did you mean \"{$near}\"?",
            default => 'It holds: '.
                implode(', ', array_slice($known, 0, 8)).
                (count($known) > 8 ? ', …' : '').
                '.',
        };

        return new self("{$field}: the catalogue holds no {$kind} \"{$shown}\". {$hint}", $field);
    }

    /** @param  list<string>  $known */
    private static function nearest(string $id, array $known): ?string
    {
        $best = null;
        $least = 4;
        foreach ($known as $candidate) {
            $distance = levenshtein(mb_substr($id, 0, 60), $candidate);
            if ($distance < $least) {
                [$best, $least] = [$candidate, $distance];
            }
        }

        return $best;
    }
}
