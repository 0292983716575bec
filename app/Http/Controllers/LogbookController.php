<?php

namespace App\Http\Controllers;

use App\Models\LogEntry;
use Illuminate\Contracts\View\View;

final class LogbookController
{
    public function index(): View
    {
        return view('logbook.index', ['entries' => LogEntry::query()->with(['user', 'job:id,title'])->latest('id')->simplePaginate(60)]);
    }
}
