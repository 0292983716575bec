<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\LayStickStones;
use App\Bridge\JobStick;
use App\Http\Asked;
use App\Models\Job;
use App\Models\StickBuild;
use App\View\JobStickPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The stick of a job: what is there already, what makes it, and the stones that a proven one lays. */
final class JobStickController
{
    public function show(Job $job, Request $request, JobStick $bridge): View
    {
        return view('jobs.stick', [
            'job' => $job,
            'page' => JobStickPage::of(
                $job,
                $bridge,
                $request->user()?->mayWork() === true,
                Asked::text($request, 'stick'),
            ),
            'build' => StickBuild::query()->where('job_id', $job->id)->latest('id')->first(),
        ]);
    }

    /** A stick that already is what the job wants becomes the job's, and lays what it proves. */
    public function take(Job $job, Request $request, LayStickStones $lay): RedirectResponse
    {
        $given = $request->validate([
            'stick' => 'required|string|max:80',
            'seen' => 'required|integer|min:0',
        ], ['stick.required' => 'Choose a stick.']);
        $laid = $lay->handle($job->id, $request->user(), $given['stick'], (int) $given['seen']);

        return redirect("/jobs/{$job->id}/stick", 303)->with('said', $laid->words());
    }
}
