<?php

namespace App\Http\Controllers;

use App\Bridge\EmulatedShare;
use App\Bridge\Experience;
use App\Models\BootObservation;
use App\Models\LogRecord;
use App\View\ProvingLine;
use Illuminate\Contracts\View\View;

final class LogbookController
{
    public function index(Experience $experience): View
    {
        return view('logbook.index', [
            'entries' => LogRecord::query()
                ->with(['user', 'job:id,title'])
                ->latest('id')
                ->simplePaginate(60),
            'month' => now((string) config('cobblestone.timezone'))->format('Y-m'),
            'accuracy' => $experience->accuracy(),
            'unsaid' => $experience->unsaid(),
            'emulated' => ProvingLine::shares(EmulatedShare::all()),
            'differed' => BootObservation::query()
                ->with('job:id,title')
                ->where('looked', true)
                ->whereColumn('predicted', '!=', 'seen')
                ->latest('id')
                ->limit(8)
                ->get(),
        ]);
    }
}
