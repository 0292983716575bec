<?php

namespace App\Http\Controllers;

use App\Bridge\BellBridge;
use App\View\BellStrip;
use Illuminate\Contracts\View\View;

final class BellController
{
    public function show(BellBridge $bell): View
    {
        $now = (int) now()->timestamp;

        return view('bench.bell', ['items' => array_map(static fn (array $item): array => [
            ...$item,
            'until' => $item['due'] === 0 ? null : $now + $item['due'],
            'place' => $item['slot'] === null ? '' : "Slot {$item['slot']} · ",
        ], $bell->items())]);
    }

    /** The strip alone, asked for again by every open page. */
    public function strip(BellBridge $bell): View
    {
        return view('parts.bell', ['bell' => BellStrip::of($bell->items(), (int) now()->timestamp)]);
    }
}
