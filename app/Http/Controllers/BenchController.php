<?php

namespace App\Http\Controllers;

use App\Models\Job;
use Illuminate\Contracts\View\View;

final class BenchController
{
    public function show(): View
    {
        $jobs = Job::query()->with('user')->where('status', 'open')->orderByRaw('slot nulls last')->orderBy('id')->limit(60)->get();
        $last = \App\Models\LogEntry::query()->with('user')->whereIn('id', $jobs->pluck('last_entry'))->get()->keyBy('job_id');

        return view('bench.show', ['jobs' => $jobs, 'last' => $last, 'now' => (int) now()->timestamp]);
    }
}
