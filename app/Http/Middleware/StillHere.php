<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Whose account has ended is out at the next click; whose password was handed over changes it before anything else. */
final class StillHere
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && ! $user->isHere()) {
            Auth::logout();
            $request->session()->invalidate();

            return redirect('/login', 303)->withErrors(['login' => 'This account has ended. Ask the lead.']);
        }
        if ($user instanceof User && $user->must_change && ! $request->is('account', 'account/password', 'logout')) {
            return redirect('/account', 303)->with('did', 'must-change');
        }

        return $next($request);
    }
}
