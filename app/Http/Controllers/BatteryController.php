<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bridge\JobBridge;
use App\Http\Asked;
use App\Models\DrainRecord;
use App\Models\Job;
use App\View\BatteryPage;
use App\View\BatteryQuestion;
use Cobblestone\Tuning\Power\Drain;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Hours of battery at several power limits, by what this machine was seen to draw (rule T2). */
final class BatteryController
{
    public function show(Job $job, Request $request, JobBridge $bridge): View
    {
        $machine = $bridge->machine($job);

        return view('jobs.battery', [
            'job' => $job,
            'page' => BatteryPage::of(
                $job,
                $machine,
                BatteryQuestion::of(self::said($request), $machine->battery),
                $request->user()?->mayWork() === true,
            ),
        ]);
    }

    /** @return array<string, string> */
    private static function said(Request $request): array
    {
        $said = [];
        foreach (BatteryQuestion::NAMES as $name) {
            if ($request->query->has($name)) {
                $said[$name] = Asked::text($request, $name);
            }
        }

        return $said;
    }

    public function store(Job $job, Request $request): RedirectResponse
    {
        abort_unless($job->isOpen(), 403, 'This job is closed: what was drained on it stays as it is.');
        foreach (['limit_w', 'watt_hours', 'minutes'] as $name) {
            is_string($said = $request->input($name)) && $request->merge([$name => str_replace(',', '.', $said)]);
        }
        $given = $request->validate([
            'limit_w' => 'required|numeric|gt:0|max:1000',
            'watt_hours' => 'required|numeric|gt:0|max:1000',
            'minutes' => 'required|numeric|min:'.Drain::LEAST_MINUTES.'|max:2000',
        ], [
            'limit_w.*' => 'The limit it ran at, in watts: above 0, at most 1000.',
            'watt_hours.*' => 'What the battery lost meanwhile, in watt-hours: above 0, at most 1000.',
            'minutes.*' => 'How long, at least '.Drain::LEAST_MINUTES.' minutes: below that its figure says nothing.',
        ]);
        DrainRecord::query()->create([...$given, 'job_id' => $job->id, 'user_id' => $request->user()?->id]);

        return redirect("/jobs/{$job->id}/battery", 303);
    }

    public function drop(Job $job, int $drain): RedirectResponse
    {
        abort_unless($job->isOpen(), 403, 'This job is closed: what was drained on it stays as it is.');
        DrainRecord::query()->where('job_id', $job->id)->whereKey($drain)->delete();

        return redirect("/jobs/{$job->id}/battery", 303);
    }
}
