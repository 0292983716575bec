<?php

namespace App\Http\Controllers;

use App\Actions\ReplanJob;
use App\Bridge\JobBridge;
use App\Bridge\ShelfChoices;
use App\Catalogue\CatalogueStore;
use App\Http\Asked;
use App\Http\Requests\IntakeForm;
use App\Http\Requests\IntakeRequest;
use App\Models\Job;
use App\View\FactsPage;
use App\View\IntakePage;
use App\View\ReadingLine;
use App\View\ReturnTo;
use Cobblestone\Runbook\JobKind;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What is known of the machine, and what is wished for it; every change plans the job again. */
final class IntakeController
{
    public function edit(Job $job, Request $request, JobBridge $bridge, CatalogueStore $store): View
    {
        $brief = $bridge->brief($job);
        $machine = is_array($brief['machine'] ?? null) ? $brief['machine'] : [];
        $facts = is_array($machine['facts'] ?? null) ? $machine['facts'] : [];

        return view('jobs.intake', [
            'job' => $job,
            'form' => new IntakePage(
                [...$brief, ...self::asked($request)],
                $store->catalogue(),
                IntakeForm::KINDS,
                IntakeForm::shelf(ShelfChoices::of()),
            ),
            'page' => new FactsPage($job->currentPlan()->typed(), $facts),
            'readings' => ReadingLine::of($machine['readings'] ?? []),
        ]);
    }

    /** @return array{}|array{goal: string} the kind of job that a door led here for */
    private static function asked(Request $request): array
    {
        $kind = JobKind::tryFrom(Asked::text($request, 'goal'));

        return $kind === null ? [] : ['goal' => $kind->value];
    }

    public function update(Job $job, IntakeRequest $request, JobBridge $bridge, ReplanJob $replan): RedirectResponse
    {
        $brief = $request->guarded(fn () => $request->brief($bridge->brief($job)));
        $request->guarded(
            fn () => $replan->handle(
                $job,
                $request->user(),
                $brief,
                'intake changed',
                (int) $request->input('seen', 0),
            ),
        );

        return redirect("/jobs/{$job->id}", 303)->with('did', 'replanned');
    }

    /** Answers to open questions, right from the job page. */
    public function answer(Job $job, IntakeRequest $request, JobBridge $bridge, ReplanJob $replan): RedirectResponse
    {
        $brief = $request->guarded(fn () => $request->answers($bridge->brief($job)));
        $request->guarded(
            fn () => $replan->handle(
                $job,
                $request->user(),
                $brief,
                'question answered',
                (int) $request->input('seen', 0),
            ),
        );

        return redirect("/jobs/{$job->id}".ReturnTo::stone($request), 303)->with('did', 'replanned');
    }
}
