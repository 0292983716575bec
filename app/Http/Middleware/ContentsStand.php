<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\ContentsRemoved;
use App\Models\Job;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A job whose contents were removed shows that it was, and nothing else. */
final class ContentsStand
{
    public function handle(Request $request, Closure $next): Response
    {
        $job = $request->route('job');
        if ($job instanceof Job) {
            ContentsRemoved::check($job);
        }

        return $next($request);
    }
}
