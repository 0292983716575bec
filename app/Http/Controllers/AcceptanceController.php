<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadFinished;
use App\Actions\WriteDownRows;
use App\Bridge\JobBridge;
use App\Bridge\SeenMachine;
use App\Http\Csv;
use App\Http\Requests\ReadingRequest;
use App\Models\Job;
use App\View\AcceptancePage;
use Cobblestone\Inventory\Reading;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Tuning\Proof\AcceptanceRow;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** The finished machine row by row: what it should be, what it says, and what the lead accepts (rules T1, K3). */
final class AcceptanceController
{
    public function show(Job $job, Request $request, SeenMachine $machine, JobBridge $bridge): View
    {
        return view('jobs.acceptance', [
            'job' => $job,
            'progress' => $bridge->progress($job),
            'page' => AcceptancePage::of(
                $job,
                $machine,
                $request->user()?->mayWork() === true,
                $request->user()?->isLead() === true,
            ),
        ]);
    }

    public function read(Job $job, ReadingRequest $request, ReadFinished $read): RedirectResponse
    {
        $given = $request->read();
        $readings = array_values(array_filter(
            $given->readings,
            static fn (Reading $one): bool => ! $one->isEmpty(),
        ));
        if ($readings === []) {
            throw ValidationException::withMessages([
                'output' => $given->problems === []
                    ? 'Choose the bundle of the finished machine, or paste what a tool printed on it.'
                    : implode(' ', array_slice($given->problems, 0, 3)),
            ]);
        }
        $read->handle($job, $request->user(), $readings, (int) $request->input('seen', 0));

        return redirect("/jobs/{$job->id}/acceptance", 303)
            ->with('left_out', array_slice($given->problems, 0, 20));
    }

    public function store(Job $job, Request $request, WriteDownRows $write): RedirectResponse
    {
        $write->handle(
            $job,
            $request->user(),
            (array) $request->input('evidence', []),
            (array) $request->input('accepted', []),
            (int) $request->input('seen', 0),
        );

        return redirect("/jobs/{$job->id}/acceptance", 303);
    }

    public function leave(Job $job, Request $request, WriteDownRows $write): RedirectResponse
    {
        abort_unless($request->user()?->isLead() === true, 403, 'Only the lead signs that rows stay open.');
        $write->leave($job, $request->user(), $request->string('reason')->toString(), (int) $request->input('seen', 0));

        return redirect("/jobs/{$job->id}/acceptance", 303);
    }

    public function csv(Job $job, SeenMachine $machine): Response
    {
        $step = $job->currentPlan()->typed()->bringing(PathFact::PROVEN) ?? abort(404, 'This job has no readings.');

        return Csv::of(
            "acceptance-{$job->id}.csv",
            ['row', 'label', 'expected', 'tolerance', 'observed', 'verdict', 'source', 'read by', 'remedy'],
            array_map(static fn (AcceptanceRow $row): array => [
                $row->evidence->id,
                $row->evidence->label,
                $row->expected(),
                $row->tolerance(),
                $row->observed(),
                $row->verdict(),
                $row->evidence->expected->source ?? '',
                $row->observation->origin ?? '',
                $row->remedy(),
            ], $machine->table($job, $step)->rows),
        );
    }
}
