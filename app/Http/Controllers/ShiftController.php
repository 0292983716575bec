<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bridge\Shifts;
use App\Models\BenchEvent;
use App\View\ShiftPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Shift notes: what was done since the last one, and what the next shift has to know (rule L6). */
final class ShiftController
{
    private const LISTED = 14;

    public function show(): View
    {
        $earlier = BenchEvent::query()->with('user');
        $earlier->getQuery()->where('kind', Shifts::KIND)->orderByDesc('id')->limit(self::LISTED);

        return view('shift.show', ['page' => ShiftPage::now(), 'earlier' => $earlier->get()]);
    }

    public function note(int $note): View
    {
        $of = BenchEvent::query();
        $of->getQuery()->where('kind', Shifts::KIND);

        return view('shift.note', ['page' => ShiftPage::of($of->findOrFail($note))]);
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(
            ['words' => 'nullable|string|max:2000', 'since' => 'nullable|integer'],
            ['words.max' => 'At most 2000 signs; what belongs to one job is better noted at its stone.'],
        );
        $page = ShiftPage::now();
        // Two people, or one twice: the second note would say that nothing happened.
        if ((int) ($given['since'] ?? 0) !== (int) $page->since?->id) {
            return back(303)->withInput()->withErrors([
                'words' => 'Meanwhile another note was written. What has happened since is shown here; your words are '
                    .'kept.',
            ]);
        }
        $note = BenchEvent::note(Shifts::KIND, null, [
            'words' => trim($given['words'] ?? ''),
            'through' => $page->through,
            'standing' => $page->standing(),
        ], $request->user()?->id);

        return redirect("/shift/{$note->id}", 303);
    }
}
