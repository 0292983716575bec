<?php

namespace App\Http\Controllers;

use App\Health\Workers;
use App\Models\BenchEvent;
use App\Models\Job;
use App\Models\LogEntry;
use App\View\SafeKeepingNote;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class BenchController
{
    public function show(Request $request): View
    {
        $jobs = Job::query()
            ->with('user')
            ->where('status', 'open')
            ->orderByRaw('slot nulls last')
            ->orderBy('id')
            ->limit(60)
            ->get();
        $last = LogEntry::query()->with('user')->whereIn('id', $jobs->pluck('last_entry'))->get()->keyBy('job_id');

        return view('bench.show', [
            'jobs' => $jobs,
            'last' => $last,
            'now' => (int) now()->timestamp,
            'keeping' => $request->user()?->isLead() === true ? SafeKeepingNote::now() : null,
        ]);
    }

    public function deathsSeen(Request $request): RedirectResponse
    {
        BenchEvent::note(
            'deaths-seen',
            null,
            [
                'because' => implode(
                    ', ',
                    array_map(
                        static fn (array $death): string => "{$death['name']} {$death['at']->toIso8601String()}",
                        array_slice(Workers::deaths(), 0, 20),
                    ),
                ),
            ],
            $request->user()?->id,
        );
        Workers::seen();

        return redirect('/', 303);
    }
}
