<?php

declare(strict_types=1);

namespace Cobblestone\Document;

use BackedEnum;

/** A value as its document: every property under its name in snake case, what says nothing left out. */
final class Written
{
    /**
     * @param  object  $value  readonly, its properties named as the fields of the document
     * @param  list<string>  $keep  fields that stand there whatever they hold, because the document wants them
     * @return array<string, mixed>
     */
    public static function of(object $value, array $keep = []): array
    {
        $document = [];
        foreach (get_object_vars($value) as $property => $held) {
            $name = strtolower((string) preg_replace('/(?<=[a-z0-9])[A-Z]/', '_$0', $property));
            $plain = self::plain($held);
            if (
                in_array($name, $keep, true) ||
                ($plain !== null && $plain !== false && $plain !== [] && $plain !== '')
            ) {
                $document[$name] = $plain;
            }
        }

        return $document;
    }

    private static function plain(mixed $held): mixed
    {
        return match (true) {
            $held instanceof BackedEnum => $held->value,
            is_array($held) => array_map(self::plain(...), $held),
            is_object($held) && method_exists($held, 'toArray') => $held->toArray(),
            default => $held,
        };
    }
}
