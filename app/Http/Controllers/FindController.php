<?php

namespace App\Http\Controllers;

use App\Bridge\JobBridge;
use App\Http\Asked;
use App\Models\CatalogueEntry;
use App\Models\Job;
use App\Models\ShelfFile;
use App\Models\StickState;
use Cobblestone\Machine\FactSheet;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;

final class FindController
{
    public function index(Request $request, JobBridge $bridge): View
    {
        $query = mb_substr(trim(Asked::text($request, 'q')), 0, 100);
        $like = '%'.addcslashes($query, '%_\\').'%';

        return view('find.index', [
            'query' => $query,
            'symptoms' => $query === ''
                ? []
                : array_slice($bridge->symptoms()->search($query, FactSheet::empty()), 0, 8),
            'jobs' => $query === ''
                    ? collect()
                    : Job::query()
                        ->where('title', 'ilike', $like)
                        ->orWhere(
                            fn ($jobs) => ctype_digit($query) && strlen($query) < 10
                                ? $jobs->whereKey((int) $query)
                                : $jobs->whereRaw('false'),
                        )
                        ->latest('id')
                        ->limit(20)
                        ->get(),
            'sticks' => $query === ''
                    ? collect()
                    : StickState::query()
                        ->whereRaw('content::text ilike ?', [$like])
                        ->limit(12)
                        ->get(),
            'shelf' => $query === ''
                    ? collect()
                    : self::files($like),
            'entries' => $query === ''
                    ? collect()
                    : CatalogueEntry::query()->where('name', 'ilike', $like)->orderBy('name')->limit(30)->get(),
        ]);
    }

    /** @return Collection<int, object> files of the shelf */
    private static function files(string $like): Collection
    {
        $found = ShelfFile::query();
        $found->where(
            fn ($files) => $files->where('name', 'ilike', $like)->orWhereRaw('about::text ilike ?', [$like]),
        );

        return $found->orderBy('name')->limit(12)->get();
    }
}
