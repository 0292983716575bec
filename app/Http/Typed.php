<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Arr;

/**
 * What somebody had typed, to be shown again when it was not taken; nothing that is a secret, and never without end.
 */
final class Typed
{
    /** Fields whose contents leave the request nowhere but into their seal. */
    public const SECRET = [
        'current_password',
        'password',
        'password_confirmation',
        'secret',
        'code',
        'serial',
        'passphrase',
        'key',
    ];

    /** Fields that are the form's own. */
    private const OWN = ['_token', '_method', 'seen', 'as_seen', 'stone'];

    private const LONGEST = 4000;

    /** @return array<string, string> field => text */
    public static function of(Request $request): array
    {
        $typed = array_filter(
            Arr::dot($request->except([...self::SECRET, ...self::OWN])),
            static fn (mixed $value): bool => is_string($value) && $value !== '',
        );

        return array_map(
            static fn (string $value): string => mb_substr($value, 0, self::LONGEST),
            array_slice($typed, 0, 100),
        );
    }
}
