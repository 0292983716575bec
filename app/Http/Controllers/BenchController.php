<?php

namespace App\Http\Controllers;

use App\Bridge\BellBridge;
use App\Models\Job;
use Illuminate\Contracts\View\View;

final class BenchController
{
    public function show(BellBridge $bell): View
    {
        $jobs = Job::query()->with('user')->where('status', 'open')->orderByRaw('slot nulls last')->orderBy('id')->limit(60)->get();
        $last = \App\Models\LogEntry::query()->with('user')->whereIn('id', $jobs->pluck('last_entry'))->get()->keyBy('job_id');

        return view('bench.show', ['jobs' => $jobs, 'last' => $last, 'hands' => $bell->items()]);
    }
}
