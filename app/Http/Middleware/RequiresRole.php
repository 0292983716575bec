<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets through who may work on jobs, or only the lead. */
final class RequiresRole
{
    public function handle(Request $request, Closure $next, string $role): Response
    {
        $user = $request->user();
        $allowed = $role === 'lead' ? $user?->isLead() : $user?->mayWork();
        abort_unless(
            (bool) $allowed,
            403,
            $role === 'lead'
                ? 'Only a lead may do this.'
                : 'Viewers can look at everything and change nothing. Sign in as a technician or a lead.',
        );

        return $next($request);
    }
}
