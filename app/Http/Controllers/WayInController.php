<?php

namespace App\Http\Controllers;

use App\Bridge\FirmwareBridge;
use App\Models\Job;
use App\Models\WayTrial;
use App\View\WaysInPage;
use Cobblestone\Findings\Layouts;
use Cobblestone\Firmware\FirmwarePlanner;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** How to get into this machine's menu, setup and recovery; which way worked makes the next technician surer. */
final class WayInController
{
    public function show(Job $job, Request $request, FirmwareBridge $firmware): View
    {
        $machine = $firmware->machine($job);
        $stick = Layouts::of($job->currentPlan()->typed())->stick?->name;

        $page = new WaysInPage($machine, FirmwarePlanner::portFor($machine, $firmware->connector($stick)));

        return view('jobs.ways-in', [
            'job' => $job,
            'page' => $page,
            'mayCount' => $page->countsTries() && $request->user()?->mayWork() === true,
        ]);
    }

    public function tried(Job $job, Request $request): RedirectResponse
    {
        $given = $request->validate([
            'reaches' => 'required|in:setup,menu,recovery',
            'way' => ['required', 'string', 'max:120'],
            'worked' => 'required|in:yes,no',
        ]);
        $model = $job->currentPlan()->typed()->job->model;
        abort_if($model === null, 422, 'What worked can be kept only for a model of the catalogue.');
        WayTrial::query()->create([
            'job_id' => $job->id,
            'user_id' => $request->user()?->id,
            'model' => $model,
            'reaches' => $given['reaches'],
            'way' => $given['way'],
            'worked' => $given['worked'] === 'yes',
            'created_at' => now(),
        ]);

        return redirect("/jobs/{$job->id}/ways-in", 303)->with('did', 'way');
    }
}
