<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeleteCopy;
use App\Retention\DueCopy;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Copies of owners' files whose day has come, each a stone with its evidence (rule L4). */
final class DeletionController
{
    public function index(): View
    {
        return view('retention.copies', ['copies' => DueCopy::all()]);
    }

    public function delete(int $number, Request $request, DeleteCopy $delete): RedirectResponse
    {
        $delete->handle($number, $request->user(), (array) $request->input('evidence', []));

        return redirect('/deletions', 303)->with('gone', $number);
    }
}
