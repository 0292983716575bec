<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bridge\Experience;
use App\Bridge\Figures;
use App\Catalogue\CatalogueStore;
use App\Http\Csv;
use App\View\FiguresPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** What a year of the log teaches, as a page and as tables to take away (rules L1, J12). */
final class FiguresController
{
    public function __construct(
        private readonly Figures $figures,
        private readonly Experience $experience,
        private readonly CatalogueStore $catalogue,
    ) {
    }

    public function show(): View
    {
        return view('logbook.figures', ['page' => $this->page()]);
    }

    public function csv(string $table): Response
    {
        $head = FiguresPage::TABLES[$table] ?? abort(404);

        return Csv::of("{$table}.csv", $head, $this->page()->rows($table));
    }

    private function page(): FiguresPage
    {
        $names = array_map(
            static fn (array $entry): string => is_string($entry['name'] ?? null) ? $entry['name'] : '',
            $this->catalogue->kind('issues'),
        );

        return FiguresPage::now($this->figures, $this->experience, $names);
    }
}
