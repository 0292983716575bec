<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Job;
use App\Models\LogRecord;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A job whose contents were removed shows that it was, and nothing else. */
final class ContentsStand
{
    public function handle(Request $request, Closure $next): Response
    {
        $job = $request->route('job');
        if (! ($job instanceof Job) || $job->owner_removed_at === null) {
            return $next($request);
        }

        return response()->view(
            'jobs.forgotten',
            [
                'job' => $job,
                'entries' => LogRecord::query()->where('job_id', $job->id)->latest('id')->limit(400)->get(),
                'many' => LogRecord::query()->where('job_id', $job->id)->count(),
            ],
            410,
        );
    }
}
