<?php

namespace App\Http\Controllers;

use App\Bridge\OnTheMedium;
use App\Bridge\ProvingStarts;
use App\Bridge\StickRegister;
use App\Bridge\StickRehearsal;
use App\Catalogue\CatalogueStore;
use App\Devices\Emulated\EmulatedMachine;
use App\Jobs\StartMedium;
use App\Models\ProvingStart;
use App\Models\ShelfFile;
use App\View\ModelStart;
use App\View\ProvingLine;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/**
 * A stick, or an image that is written as it is, against every model of the catalogue, and started in an emulated
 * machine (rules B, J1).
 */
final class StartController
{
    public function stick(
        string $slug,
        Request $request,
        StickRegister $register,
        CatalogueStore $catalogue,
    ): View {
        $stick = $register->find($slug) ?? abort(404);
        $medium = ['title' => $stick->name, 'back' => "/sticks/{$slug}", 'path' => self::pathOf($slug, $register)];

        $since = OnTheMedium::sinceOnStick($slug, $medium['path']);

        return self::page($medium, self::lines(ProvingStart::of(null, $slug), $since), $request, $catalogue);
    }

    public function image(ShelfFile $file, Request $request, CatalogueStore $catalogue): View
    {
        self::canBeStarted($file);
        $medium = ['title' => $file->title(), 'back' => "/shelf/{$file->id}", 'path' => $file->path()];

        $lines = self::lines(ProvingStart::of($file->id, null), OnTheMedium::since($file->path()));

        return self::page($medium, $lines, $request, $catalogue);
    }

    public function beginStick(
        string $slug,
        Request $request,
        StickRegister $register,
        ProvingStarts $starts,
    ): RedirectResponse {
        $stick = $register->find($slug) ?? abort(404);
        $start = $starts->ask(
            ['slug' => $slug, 'title' => $stick->name],
            self::pathOf($slug, $register),
            (string) $request->input('as'),
            $request->user(),
        );
        StartMedium::dispatch($start->id);

        return redirect("/starts/{$start->id}", 303);
    }

    public function beginImage(ShelfFile $file, Request $request, ProvingStarts $starts): RedirectResponse
    {
        self::canBeStarted($file);
        $start = $starts->ask(
            ['shelf_file_id' => $file->id, 'title' => $file->title()],
            $file->path(),
            (string) $request->input('as'),
            $request->user(),
        );
        StartMedium::dispatch($start->id);

        return redirect("/starts/{$start->id}", 303);
    }

    private static function canBeStarted(ShelfFile $file): void
    {
        $report = $file->inspected();
        abort_unless(
            $report !== null && $report->canBeRaw() && $report->compression === null,
            404,
            'Only an image that is written as it is can be rehearsed before it is on a stick.',
        );
    }

    private static function pathOf(string $slug, StickRegister $register): ?string
    {
        return $register->isGone($slug) ? null : $register->device($slug)->path();
    }

    /**
     * @param  Collection<int, ProvingStart>  $starts
     * @return list<ProvingLine>
     */
    private static function lines(Collection $starts, ?Carbon $since): array
    {
        return array_values($starts->map(
            static fn (ProvingStart $start): ProvingLine => new ProvingLine($start, $since),
        )->all());
    }

    /**
     * @param  array{title: string, back: string, path: string|null}  $medium
     * @param  list<ProvingLine>  $lines
     */
    private static function page(array $medium, array $lines, Request $request, CatalogueStore $catalogue): View
    {
        $isThere = $medium['path'] !== null && is_file($medium['path']);
        $rows = $isThere
            ? (new StickRehearsal($catalogue->catalogue()))->everywhere((string) $medium['path'])
            : [];

        return view('sticks.starts', [
            'title' => $medium['title'],
            'back' => $medium['back'],
            'isThere' => $isThere,
            'missing' => EmulatedMachine::missing(),
            'mayWork' => $request->user()?->mayWork() === true,
            'kinds' => ProvingLine::kinds(),
            'lines' => $lines,
            'rows' => array_map(
                static fn (array $row): ModelStart => new ModelStart(
                    $row['id'],
                    $row['title'],
                    $row['possible'],
                    ProvingLine::lastAs($row['id'], $lines),
                ),
                $rows,
            ),
        ]);
    }
}
