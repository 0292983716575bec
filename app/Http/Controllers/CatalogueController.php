<?php

namespace App\Http\Controllers;

use App\Bridge\Experience;
use App\Models\CatalogueEntry;
use App\Models\OpeningPhoto;
use Cobblestone\Catalogue\Catalogue;
use Illuminate\Contracts\View\View;
use Symfony\Component\Yaml\Yaml;

final class CatalogueController
{
    public function index(): View
    {
        return view('catalogue.index', [
            'kinds' => Catalogue::KINDS,
            'entries' => CatalogueEntry::query()->orderBy('name')->get()->groupBy('kind'),
        ]);
    }

    public function show(string $kind, string $slug, Experience $experience): View
    {
        $entry = CatalogueEntry::query()->where('kind', $kind)->where('slug', $slug)->firstOrFail();

        return view('catalogue.show', [
            'entry' => $entry,
            'yaml' => Yaml::dump($entry->document, 5, 2),
            'photos' => $kind === 'machines' ? OpeningPhoto::of($slug) : null,
            'quirks' => $kind === 'machines' ? $experience->quirksOf($slug) : [],
        ]);
    }
}
