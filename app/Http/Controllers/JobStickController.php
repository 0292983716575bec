<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BuildCollectingStick;
use App\Actions\BuildFilesStick;
use App\Actions\LayFilesStone;
use App\Actions\LayStickStones;
use App\Bridge\CollectingFrom;
use App\Bridge\FilesForStick;
use App\Bridge\JobStick;
use App\Bridge\StickRegister;
use App\Http\Asked;
use App\Models\Job;
use App\Models\StickBuild;
use App\View\FilesStickPage;
use App\View\JobStickPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The stick of a job: what is there already, what makes it, and the stones that a proven one lays. */
final class JobStickController
{
    public function show(Job $job, Request $request, JobStick $bridge, StickRegister $register): View
    {
        $mayWork = $request->user()?->mayWork() === true;

        $collect = CollectingFrom::of($job, $bridge);

        return view('jobs.stick', [
            'mayWork' => $mayWork && $job->isOpen(),
            'collect' => $collect,
            'collectOn' => $collect?->on($register->now($job->id)),
            'files' => FilesStickPage::of($job, $register, $mayWork, Asked::text($request, 'files')),
            'job' => $job,
            'page' => JobStickPage::of(
                $job,
                $bridge,
                $mayWork,
                Asked::text($request, 'stick'),
            ),
            'build' => StickBuild::query()->where('job_id', $job->id)->latest('id')->first(),
        ]);
    }

    /** The stick that reads the machine is made. */
    public function collect(Job $job, Request $request, BuildCollectingStick $build): RedirectResponse
    {
        $given = $request->validate(['stick' => 'required|string|max:80', 'serial' => 'nullable|string|max:20']);
        $made = $build->handle($job, $given['stick'], (string) ($given['serial'] ?? ''), $request->user());

        return redirect("/sticks/{$made->slug}/builds/{$made->id}", 303);
    }

    /** A stick of the job's firmware files or drivers is made. */
    public function files(Job $job, Request $request, BuildFilesStick $build): RedirectResponse
    {
        $given = $request->validate([
            'stick' => 'required|string|max:80',
            'serial' => 'nullable|string|max:20',
        ], ['stick.required' => 'Choose a stick.']);
        $made = $build->handle($job, $given['stick'], (string) ($given['serial'] ?? ''), $request->user());

        return redirect("/sticks/{$made->slug}/builds/{$made->id}", 303);
    }

    /** A stick that already is what the job wants becomes the job's, and lays what it proves. */
    public function take(
        Job $job,
        Request $request,
        LayStickStones $lay,
        LayFilesStone $files,
    ): RedirectResponse {
        $given = $request->validate([
            'stick' => 'required|string|max:80',
            'seen' => 'required|integer|min:0',
        ], ['stick.required' => 'Choose a stick.']);
        $laid = FilesForStick::of($job)?->isOn($given['stick']) === true
            ? $files->handle($job->id, $request->user(), $given['stick'])
            : $lay->handle($job->id, $request->user(), $given['stick'], (int) $given['seen']);

        return redirect("/jobs/{$job->id}/stick", 303)->with('said', $laid->words());
    }
}
