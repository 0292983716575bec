<?php

declare(strict_types=1);

namespace App\View;

use App\Models\BenchEvent;

/** What happened to the bench, in a line. */
final class BenchLine
{
    private const WORDS = [
        'person-added' => 'Account %s made',
        'person-changed' => 'Account %s changed',
        'person-ended' => 'Account %s ended',
        'person-reopened' => 'Account %s opened again',
        'password-reset' => 'New password handed over for %s',
        'password-changed' => '%s chose a password',
        'second-factor-on' => 'Second factor of %s switched on',
        'second-factor-off' => 'Second factor of %s taken off',
        'session-ended' => 'A sign-in of %s ended',
        'checksum-changed' => 'Published checksum of %s changed',
        'image-described' => '%s described',
        'package-shelved' => 'Driver package taken onto the shelf',
        'package-removed' => 'Driver package taken off the shelf',
        'policy-changed' => 'Policy changed',
        'retention-changed' => 'How long contents are kept was changed',
        'contents-removed' => 'Contents of %s removed',
        'copy-deleted' => 'Copy of the files of %s deleted',
        'drive-erased' => 'Erasure of %s begun',
        'data-exported' => 'Data of %s given out',
        'restored' => 'Restored from %s',
        'key-replaced' => 'A new application key was made',
        'deaths-seen' => 'Deaths of workers seen',
        'catalogue-taken' => '%s taken into the catalogue',
        'incident-reviewed' => 'What ended a problem was looked at, entry %s',
        'symptom-first' => 'Looked for first at %s',
        'shift-note' => 'Shift note kept',
        'demo-loaded' => 'The demo world was loaded',
        'shop-began' => 'This shop began',
        'shop-named' => 'Shop named',
    ];

    public static function text(BenchEvent $event): string
    {
        $text = sprintf(self::WORDS[$event->kind] ?? $event->kind.' %s', (string) $event->subject);
        $sides =
            is_array($event->data['before'] ?? null) && is_array($event->data['after'] ?? null)
                ? self::changes($event->data['before'], $event->data['after'])
                : [];
        $because = is_string($event->data['because'] ?? null) ? [$event->data['because']] : [];

        return rtrim($text).
            ($sides === [] && $because === [] ? '' : ': '.implode(', ', [...$sides, ...$because]));
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return list<string>
     */
    private static function changes(array $before, array $after): array
    {
        $said = static fn (mixed $value): string => $value === null || $value === ''
            ? 'nothing'
            : (is_scalar($value)
                ? (string) $value
                : (string) json_encode($value));
        $changes = [];
        foreach (array_unique([...array_keys($before), ...array_keys($after)]) as $field) {
            if (($before[$field] ?? null) !== ($after[$field] ?? null)) {
                $changes[] = "{$field} was {$said($before[$field] ?? null)}, is {$said($after[$field] ?? null)}";
            }
        }

        return $changes;
    }
}
