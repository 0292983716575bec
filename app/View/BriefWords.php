<?php

declare(strict_types=1);

namespace App\View;

/** What a brief says that the form has no field for: shown, and kept when the form is sent. */
final class BriefWords
{
    /**
     * @param  array<string, mixed>  $brief
     * @return list<string>
     */
    public static function said(array $brief): array
    {
        $seen = count($brief['seen'] ?? []);
        $modules = count($brief['memory']['modules'] ?? []);
        $said = [
            ($brief['sticks'] ?? null) === null ? null : 'only these sticks: '.implode(', ', $brief['sticks']),
            ($brief['extras'] ?? []) === []
                ? null
                : 'from elsewhere: '.implode(', ', array_column($brief['extras'], 'what')),
            $seen === 0
                ? null
                : ($seen === 1
                    ? 'one start that went otherwise'
                    : "{$seen} starts that went otherwise"),
            $modules === 0 ? null : "a memory sheet of {$modules} ".($modules === 1 ? 'module' : 'modules'),
            ($brief['catalogue'] ?? null) === null ? null : 'planned without the catalogue',
            isset($brief['card']['rest_w']) ? "{$brief['card']['rest_w']} W for the rest of the machine" : null,
        ];

        return array_values(array_filter($said, static fn (?string $one): bool => $one !== null));
    }
}
