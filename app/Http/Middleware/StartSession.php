<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as Start;

/** "Back" follows the page that the browser names: the session does not change with every page that is looked at. */
final class StartSession extends Start
{
    /** @param  \Illuminate\Contracts\Session\Session  $session */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }
}
