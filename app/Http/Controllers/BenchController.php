<?php

namespace App\Http\Controllers;

use App\Health\Workers;
use App\Models\BenchEvent;
use App\View\BenchPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class BenchController
{
    public function show(Request $request): View
    {
        return view('bench.show', ['page' => BenchPage::now(
            $request->user()?->isLead() === true,
            $request->user()?->mayWork() === true,
        )]);
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
