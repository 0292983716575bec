<?php

namespace App\Http\Controllers;

use App\Actions\EditedMeanwhile;
use App\Bridge\Incidents;
use App\Catalogue\CatalogueStore;
use App\Documents\SchemaCheck;
use App\Documents\Schemas;
use App\Models\BenchEvent;
use App\Models\CatalogueEntry;
use App\Models\LearnedFact;
use App\View\IncidentsPage;
use Cobblestone\Machine\Facts\FactRegistry;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** What jobs have taught about models, for the lead to take into the catalogue or let go (rule J13). */
final class LearnedController
{
    public function index(Incidents $incidents, CatalogueStore $store): View
    {
        return view('catalogue.learned', [
            'facts' => LearnedFact::query()
                ->with('user')
                ->where('decision', null)
                ->orderBy('model')
                ->orderBy('fact')
                ->get(),
            'keys' => FactRegistry::learned(),
            'incidents' => IncidentsPage::now($incidents, $store->catalogue()),
        ]);
    }

    public function decide(LearnedFact $fact, Request $request): RedirectResponse
    {
        $take = $request->validate(['decision' => 'required|in:taken,let-go'])['decision'] === 'taken';
        self::decided($fact, $take, $request);

        return redirect('/learned', 303);
    }

    private static function decided(LearnedFact $fact, bool $take, Request $request): void
    {
        DB::transaction(function () use ($fact, $take, $request): void {
            $row = LearnedFact::query()->whereKey($fact->id);
            $row->getQuery()->lockForUpdate();
            $fact = $row->firstOrFail();
            EditedMeanwhile::check($fact->decision ?? '', '', "What was learned of {$fact->model}", '/learned', [
                'decided' => (string) $fact->decision,
            ]);
            $of = CatalogueEntry::query()->where('kind', 'machines')->where('slug', $fact->model);
            $of->getQuery()->lockForUpdate();
            $entry = $of->first();
            if ($take && $entry !== null) {
                $document = self::with($entry->document, $fact);
                $faults = SchemaCheck::faults($document, Schemas::ofCatalogue('machines'));
                if ($faults !== []) {
                    throw ValidationException::withMessages([
                        'decision' => "The catalogue does not take this: {$faults[0]} Nothing was changed; let it go, "
                            ."or write it into the model's file by hand.",
                    ]);
                }
                $before = array_diff_assoc(
                    array_map(json_encode(...), $entry->document),
                    array_map(json_encode(...), $document),
                );
                $entry->update(['document' => $document]);
                BenchEvent::note(
                    'catalogue-taken',
                    "{$fact->model} {$fact->fact}",
                    [
                        'before' => $before,
                        'after' => array_intersect_key(array_map(json_encode(...), $document), $before),
                        'because' => $fact->value,
                    ],
                    $request->user()?->id,
                );
            }
            $fact->update(['decision' => $take ? 'taken' : 'let-go']);
        });
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private static function with(array $document, LearnedFact $fact): array
    {
        $field = FactRegistry::find($fact->fact)?->learned;
        if ($field !== null) {
            $document[$field] = ctype_digit($fact->value) ? (int) $fact->value : $fact->value;
        }
        foreach ($document['firmware']['settings'] ?? [] as $index => $setting) {
            if ("firmware.{$setting['id']}" === $fact->fact && in_array($fact->value, $setting['values'], true)) {
                $document['firmware']['settings'][$index]['default'] = $fact->value;
            }
        }
        $document['as_of'] = \App\Bridge\BenchClock::day();

        return $document;
    }
}
