<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeBrief;
use App\Actions\NoteTuning;
use App\Bridge\JobBridge;
use App\Http\Asked;
use App\Models\DrainRecord;
use App\Models\Job;
use App\View\BatteryPage;
use App\View\BatteryQuestion;
use Cobblestone\Job\Promised;
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

    public function store(Job $job, Request $request, NoteTuning $note): RedirectResponse
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
        $note->handle(
            $job,
            $request->user(),
            sprintf(
                'drained %s Wh in %s min at a limit of %s W',
                ...array_map(strval(...), [$given['watt_hours'], $given['minutes'], $given['limit_w']]),
            ),
            static fn () => DrainRecord::query()->create([
                ...$given, 'job_id' => $job->id, 'user_id' => $request->user()?->id,
            ]),
        );

        return redirect("/jobs/{$job->id}/battery", 303);
    }

    /** The limit that was agreed on; without a figure nothing is promised any more. */
    public function everyday(Job $job, Request $request, ChangeBrief $change, JobBridge $bridge): RedirectResponse
    {
        $can = $bridge->machine($job)->model?->powerLimits;
        $least = (int) ceil($can->leastW ?? 1);
        $most = (int) floor($can->mostW ?? 1000);
        $given = $request->validate(['everyday' => "nullable|integer|min:{$least}|max:{$most}"], [
            'everyday.*' => "Whole watts from {$least} to {$most}, or nothing.",
        ]);
        $watts = $given['everyday'] ?? null;
        $change->handle($job, $request->user(), static function (array $brief) use ($watts): array {
            $facts = array_diff_key((array) ($brief['machine']['facts'] ?? []), [Promised::EVERYDAY => true]);
            $facts += $watts === null ? [] : [Promised::EVERYDAY => (int) $watts];
            $brief['machine']['facts'] = $facts;

            return $brief;
        }, 'power limit for every day', (int) $request->input('seen', 0), 'everyday');

        return redirect("/jobs/{$job->id}/battery", 303);
    }

    public function drop(Job $job, int $drain, Request $request, NoteTuning $note): RedirectResponse
    {
        abort_unless($job->isOpen(), 403, 'This job is closed: what was drained on it stays as it is.');
        $one = DrainRecord::query()->where('job_id', $job->id)->find($drain);
        $one === null || $note->handle(
            $job,
            $request->user(),
            sprintf(
                'taken out: %.1f Wh in %d min at a limit of %.1f W',
                $one->watt_hours,
                $one->minutes,
                $one->limit_w,
            ),
            static fn () => $one->delete(),
        );

        return redirect("/jobs/{$job->id}/battery", 303);
    }
}
