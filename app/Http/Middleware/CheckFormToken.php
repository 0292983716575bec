<?php

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** Every form carries its token itself, so no page needs the cookie that script clients would read. */
final class CheckFormToken extends ValidateCsrfToken
{
    protected $addHttpCookie = false;
}
