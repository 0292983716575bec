<?php

namespace App\Http\Controllers;

use App\Bridge\JobBridge;
use App\Http\Requests\IntakeRequest;
use App\Models\Job;
use App\View\GentlerPanel;
use App\View\UnusedWords;
use Cobblestone\Findings\Findings;
use Illuminate\Contracts\View\View;

/** What would do with less and what is known not to work, told while a job is chosen: planned, and not kept. */
final class GentlerController
{
    public function fresh(IntakeRequest $request, JobBridge $bridge): View
    {
        return self::told($request, $bridge, []);
    }

    public function changed(Job $job, IntakeRequest $request, JobBridge $bridge): View
    {
        return self::told($request, $bridge, $bridge->brief($job));
    }

    /** @param  array<string, mixed>  $before */
    private static function told(IntakeRequest $request, JobBridge $bridge, array $before): View
    {
        $brief = $request->guarded(fn () => $request->brief($before));
        $plan = $request->guarded(fn () => $bridge->plan($brief));

        return view('jobs.gentler', [
            'gentler' => GentlerPanel::of($plan),
            'known' => Findings::of($plan)->known,
            'unused' => UnusedWords::of($bridge->unused($brief)),
        ]);
    }
}
