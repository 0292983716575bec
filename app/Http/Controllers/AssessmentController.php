<?php

namespace App\Http\Controllers;

use App\Actions\ChangeBrief;
use App\Bridge\JobBridge;
use App\Models\Job;
use App\View\AssessmentPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What the assessment found, and what was tried. */
final class AssessmentController
{
    public function show(Job $job, JobBridge $bridge): View
    {
        $progress = $bridge->progress($job);

        return view('jobs.assessment', [
            'job' => $job,
            'progress' => $progress,
            'page' => new AssessmentPage($progress->plan),
        ]);
    }

    /** A way that did not help: the path is computed with the next gentlest. */
    public function tried(Job $job, Request $request, ChangeBrief $change): RedirectResponse
    {
        $rung = $request->validate(['rung' => ['required', 'string', 'max:60', 'regex:/^[a-z0-9-]+$/']])['rung'];
        $change->handle(
            $job,
            $request->user(),
            function (array $brief) use ($rung, $request): array {
                $tried = array_filter(explode(', ', (string) ($brief['machine']['facts']['tried'] ?? '')));
                $brief['machine']['facts']['tried'] = implode(', ', array_unique([...$tried, $rung]));
                $brief['machine']['facts_from'] = (string) $request->user()?->title;

                return $brief;
            },
            "tried without success: {$rung}",
            (int) $request->input('seen', 0),
        );

        return redirect("/jobs/{$job->id}/assessment", 303)->with('did', 'tried');
    }
}
