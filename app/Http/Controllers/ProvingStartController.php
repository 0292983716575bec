<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bridge\ProvingStarts;
use App\Jobs\StartMedium;
use App\Models\ProvingStart;
use App\View\ProvingLine;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** One start in an emulated machine: how far it is, what it shows and printed, and how it ended. */
final class ProvingStartController
{
    public function show(ProvingStart $start, Request $request): View
    {
        return view('sticks.proving', [
            'line' => new ProvingLine($start),
            'mayWork' => $request->user()?->mayWork() === true,
        ]);
    }

    public function picture(ProvingStart $start): BinaryFileResponse
    {
        abort_unless(is_file($start->picture()), 404, 'No picture was taken of this start.');

        return response()->file($start->picture(), ['Content-Type' => 'image/png', 'Cache-Control' => 'private']);
    }

    /** The machine is switched on again, without the stick. */
    public function next(ProvingStart $start, Request $request, ProvingStarts $starts): RedirectResponse
    {
        $next = $starts->askNext($start, $request->user());
        StartMedium::dispatch($next->id);

        return redirect("/starts/{$next->id}", 303);
    }

    public function stop(ProvingStart $start): RedirectResponse
    {
        $start->stop();

        return redirect("/starts/{$start->id}", 303);
    }
}
