<?php

declare(strict_types=1);

namespace App\View;

use Illuminate\Http\Request;

/** Where a form that also stands on a stone leads back to: the stone it was answered at, else its own page. */
final class ReturnTo
{
    /** @param  string  $else  the rest of the job's address otherwise */
    public static function stone(Request $request, string $else = ''): string
    {
        $stone = $request->input('stone');

        return is_string($stone) && preg_match('/^[a-z0-9._-]{1,120}$/i', $stone) === 1
            ? "/run?stone={$stone}"
            : $else;
    }
}
