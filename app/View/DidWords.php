<?php

declare(strict_types=1);

namespace App\View;

/** What was just done to an account, said once. */
final class DidWords
{
    private const WORDS = [
        'password' => 'Changed. You are signed out everywhere else.',
        'code' => 'On. From the next sign-in a code is asked for too.',
        'code-off' => 'Taken off: the password alone opens this account again.',
        'ended' => 'Ended. Whoever used it is out at their next click.',
        'gone' => 'It had ended already.',
        'person' => 'Saved.',
        'person-ended' => 'Ended. What the account did stays on record under its name.',
        'person-back' => 'Open again.',
        'reset' => 'A new password stands. It is shown once, here.',
        'code-removed' => 'Taken off: this account signs in with its password alone.',
    ];

    /** Null where nothing was done. */
    public static function of(mixed $did): ?string
    {
        return is_string($did) ? self::WORDS[$did] ?? null : null;
    }
}
