<?php

namespace App\Http\Controllers;

use App\Bridge\StickRegister;
use App\Bridge\StickRehearsal;
use App\Catalogue\CatalogueStore;
use App\Models\ShelfFile;
use App\View\ModelStart;
use Illuminate\Contracts\View\View;

/** A stick, or an image that is written as it is, against every model of the catalogue (rules B, J1). */
final class StartController
{
    public function stick(string $slug, StickRegister $register, CatalogueStore $catalogue): View
    {
        $stick = $register->find($slug) ?? abort(404);

        return self::page(
            $stick->name,
            "/sticks/{$slug}",
            $register->isGone($slug) ? null : $register->device($slug)->path(),
            $catalogue,
        );
    }

    public function image(ShelfFile $file, CatalogueStore $catalogue): View
    {
        $report = $file->inspected();
        abort_unless(
            $report !== null && $report->canBeRaw() && $report->compression === null,
            404,
            'Only an image that is written as it is can be rehearsed before it is on a stick.',
        );

        return self::page($file->title(), "/shelf/{$file->id}", $file->path(), $catalogue);
    }

    private static function page(string $title, string $back, ?string $path, CatalogueStore $catalogue): View
    {
        $rows =
            $path !== null && is_file($path) ? (new StickRehearsal($catalogue->catalogue()))->everywhere($path) : [];

        return view('sticks.starts', [
            'title' => $title,
            'back' => $back,
            'rows' => array_map(
                static fn (array $row): ModelStart => new ModelStart($row['id'], $row['title'], $row['possible']),
                $rows,
            ),
        ]);
    }
}
