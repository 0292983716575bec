<?php

namespace App\Http\Controllers;

use App\Actions\RecordReality;
use App\Bridge\JobBridge;
use App\Bridge\ProvingStarts;
use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Jobs\StartMedium;
use App\Models\BootObservation;
use App\Models\Job;
use App\View\RehearsalPage;
use App\View\ReturnTo;
use App\View\StickStartedHere;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Findings\Findings;
use Cobblestone\Media\WantedStick;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Every power-on of a job as it is predicted, and what really happened. */
final class RehearsalController
{
    public function show(
        Job $job,
        JobBridge $bridge,
        CatalogueStore $catalogue,
        StickRegister $register,
    ): View {
        $progress = $bridge->progress($job);
        $seen = BootObservation::query()->with('user')->where('job_id', $job->id)->get()->sortByDesc('id')->values();

        $stick = StickStartedHere::of($job, $progress->plan->job, $catalogue, $register);

        return view('jobs.rehearsal', [
            'job' => $job,
            'page' => new RehearsalPage($job, $progress->plan, $seen, $stick),
            'stick' => $stick,
        ]);
    }

    /** The stick of this job, started in an emulated machine that is set as the path sets this one. */
    public function start(Job $job, Request $request, ProvingStarts $starts, StickRegister $register): RedirectResponse
    {
        $given = $request->validate([
            'step' => ['required', 'string', 'max:80', 'regex:/^[a-z0-9.-]+$/'],
            'number' => 'required|integer|between:1,40',
        ]);
        $plan = $job->currentPlan()->typed();
        $as = Findings::of($plan)->start($given['step'], (int) $given['number'])?->as;
        $slug = WantedStick::of($plan)?->stick;
        if ($as === null || $slug === null) {
            throw ValidationException::withMessages([
                'outcome' => 'This path has no such power-on any more, or no stick for it. Look at it again.',
            ]);
        }
        $at = ['step' => $given['step'], 'number' => (int) $given['number'], 'machine' => $plan->job->machine];
        $path = $register->isGone($slug) ? null : $register->device($slug)->path();
        $start = $starts->askOfJob($job, $at, $slug, $path, $as, $request->user());
        StartMedium::dispatch($start->id);

        return redirect("/starts/{$start->id}", 303);
    }

    public function seen(Job $job, Request $request, RecordReality $record): RedirectResponse
    {
        $given = $request->validate([
            'step' => ['required', 'string', 'max:80', 'regex:/^[a-z0-9.-]+$/'],
            'number' => 'required|integer|between:1,40',
            'outcome' => ['required', Rule::enum(Outcome::class)],
            'of' => 'required|in:this-time,model,as-predicted',
        ]);
        if ($given['of'] === 'as-predicted') {
            $record->asPredicted(
                $job,
                $request->user(),
                $given['step'],
                (int) $given['number'],
                (int) $request->input('seen', 0),
            );

            return redirect("/jobs/{$job->id}".ReturnTo::stone($request, '/rehearsal'), 303)->with(
                'did',
                'reality',
            );
        }
        $record->handle(
            $job,
            $request->user(),
            [
                'step' => $given['step'],
                'number' => (int) $given['number'],
                'of_model' => $given['of'] === 'model',
            ],
            Outcome::from($given['outcome']),
            (int) $request->input('seen', 0),
        );

        return redirect("/jobs/{$job->id}/rehearsal", 303)->with('did', 'reality');
    }
}
