<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReviewIncident;
use App\Models\User;
use Cobblestone\Catalogue\Blame;
use Cobblestone\Catalogue\SymptomCause;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Incidents, looked at by the lead. */
final class IncidentController
{
    public function decide(int $entry, Request $request, ReviewIncident $review): RedirectResponse
    {
        /** @var User $lead */
        $lead = $request->user();
        if ($request->input('decision') !== 'taken') {
            $review->letGo($entry, $lead);

            return redirect('/learned#incidents', 303);
        }
        $given = $request->validate([
            'seen' => 'required|string|max:200',
            'cause' => 'required|string|max:400',
            'fix' => 'required|string|max:400',
            'blames' => ['nullable', Rule::enum(Blame::class)],
        ], [
            'seen.*' => 'What is seen, in at most 200 signs.',
            'cause.*' => 'What it was, in at most 400 signs.',
            'fix.*' => 'What helps, in at most 400 signs: without it the index would name a cause and no way out.',
            'blames.*' => 'What it counts against is one of the things in the list.',
        ]);
        $review->take($entry, $lead, $given['seen'], new SymptomCause(
            $given['cause'],
            $given['fix'],
            blames: Blame::tryFrom((string) ($given['blames'] ?? '')),
        ));

        return redirect('/learned#incidents', 303);
    }

    public function first(Request $request, ReviewIncident $review): RedirectResponse
    {
        $given = $request->validate(['symptom' => 'required|string|max:61', 'cause' => 'required|string|max:400']);
        /** @var User $lead */
        $lead = $request->user();
        $review->first($given['symptom'], $given['cause'], $lead);

        return redirect('/learned#incidents', 303);
    }
}
