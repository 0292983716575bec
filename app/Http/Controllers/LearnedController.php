<?php

namespace App\Http\Controllers;

use App\Models\CatalogueEntry;
use App\Models\LearnedFact;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** What jobs have taught about models, for the lead to take into the catalogue or let go (rule J13). */
final class LearnedController
{
    /** Facts that stand in a model's file under a name of their own. */
    private const KEYS = ['memory_bytes' => 'memory_bytes', 'cores' => 'cores', 'clock_mhz' => 'clock_mhz', 'architecture' => 'architecture', 'security_chip.version' => 'security_chip_version'];

    public function index(): View
    {
        return view('catalogue.learned', ['facts' => LearnedFact::query()->with('user')->where('decision', null)->orderBy('model')->orderBy('fact')->get(), 'keys' => self::KEYS]);
    }

    public function decide(LearnedFact $fact, Request $request): RedirectResponse
    {
        $take = $request->validate(['decision' => 'required|in:taken,let-go'])['decision'] === 'taken';
        DB::transaction(function () use ($fact, $take): void {
            $entry = CatalogueEntry::query()->where('kind', 'machines')->where('slug', $fact->model)->first();
            if ($take && $entry !== null) {
                $entry->update(['document' => self::with($entry->document, $fact)]);
            }
            $fact->update(['decision' => $take ? 'taken' : 'let-go']);
        });

        return redirect('/learned', 303);
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private static function with(array $document, LearnedFact $fact): array
    {
        if (isset(self::KEYS[$fact->fact])) {
            $document[self::KEYS[$fact->fact]] = ctype_digit($fact->value) ? (int) $fact->value : $fact->value;
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
