<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BeginErasure;
use App\Actions\NameShop;
use App\Models\Erasure;
use App\View\ErasePage;
use App\View\Words;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/** Drives that are erased: which way, how far, what was read back, the certificate (rule L5). */
final class ErasureController
{
    public function index(Request $request): View
    {
        return view('erasures.index', ['page' => ErasePage::now($request->user()?->mayWork() === true)]);
    }

    public function store(Request $request, BeginErasure $begin): RedirectResponse
    {
        $text = static fn (string $name): string => is_string($said = $request->input($name)) ? trim($said) : '';
        $erasure = $begin->handle(
            $request->user(),
            $text('drive'),
            $text('way'),
            $text('serial'),
            $text('seen'),
            $text('alone') === '1',
        );

        return redirect("/erasures/{$erasure->id}", 303);
    }

    public function show(Erasure $erasure, Request $request): View
    {
        $erasure->endIfDead();

        return view('erasures.show', [
            'erasure' => $erasure,
            'certificate' => $erasure->certificate(),
            'shop' => NameShop::present(),
            'began' => self::moment($erasure->began_at),
            'ended' => self::moment($erasure->ended_at),
            'mayWork' => $request->user()?->mayWork() === true,
        ]);
    }

    /** Day and time, whole: what is printed is read in another year. */
    private static function moment(?Carbon $at): string
    {
        return $at === null ? '' : Words::local($at, 'j F Y, H:i');
    }

    public function cancel(Erasure $erasure): RedirectResponse
    {
        $erasure->isUnderWay() && $erasure->update(['cancel' => true]);

        return redirect("/erasures/{$erasure->id}", 303);
    }
}
