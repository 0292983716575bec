<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueStore;
use App\Http\Asked;
use App\Jobs\FetchImage;
use App\Models\ImageFetch;
use App\Models\Job;
use App\View\FetchPage;
use Cobblestone\Catalogue\Image;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** An image of the catalogue on its way onto the shelf: begun, watched, stopped, gone on with (rule M9). */
final class FetchController
{
    public function show(string $slug, Request $request, CatalogueStore $catalogue, FetchPage $page): View
    {
        $job = Job::query()->where('status', 'open')->whereKey((int) Asked::text($request, 'job'))->first();

        return view('shelf.fetch', [
            'page' => $page->of(self::image($slug, $catalogue), $job),
            'mayWork' => $request->user()?->mayWork() === true,
        ]);
    }

    public function begin(string $slug, Request $request, CatalogueStore $catalogue): RedirectResponse
    {
        $given = $request->validate(['job' => 'nullable|integer|min:1|max:2147483647']);
        $image = self::image($slug, $catalogue);
        $job = Job::query()->where('status', 'open')->whereKey((int) ($given['job'] ?? 0))->first();
        $fetch = ImageFetch::query()->firstOrNew(['slug' => $slug]);
        if (! $fetch->exists || ! $fetch->isUnderWay()) {
            $fetch->fill([
                'file' => $image->file, 'state' => 'waiting', 'fault' => null, 'bytes' => $image->bytes,
                'job_id' => $job->id ?? $fetch->job_id, 'user_id' => $request->user()?->id, 'updated_at' => now(),
            ])->save();
            FetchImage::dispatch($fetch->id);
        }

        return redirect("/shelf/fetch/{$slug}".($job === null ? '' : "?job={$job->id}"), 303);
    }

    public function stop(string $slug): RedirectResponse
    {
        ImageFetch::query()->where('slug', $slug)->first()?->stop();

        return redirect("/shelf/fetch/{$slug}", 303);
    }

    private static function image(string $slug, CatalogueStore $catalogue): Image
    {
        return Image::fromArray($catalogue->kind('images')[$slug] ?? abort(404, 'The catalogue has no such image.'));
    }
}
