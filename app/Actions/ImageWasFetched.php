<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\WhenFetched;
use App\Models\ImageFetch;
use App\Models\Job;
use App\Models\ShelfFile;
use App\Models\User;
use Cobblestone\Catalogue\Image;
use Cobblestone\Runbook\PathFact;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** What has come lies on the shelf from now on, with the publisher's checksum, and lays the stone that asked for it. */
final readonly class ImageWasFetched implements WhenFetched
{
    public function __construct(private ScanShelf $shelf, private LayByFact $lay)
    {
    }

    public function fetched(ImageFetch $fetch, Image $image, ?string $sum): void
    {
        $path = config('cobblestone.shelf')."/{$image->file}";
        if (is_file($path)) {
            throw new RuntimeException("The shelf has a file {$image->file} already: take it away first, then go on.");
        }
        // Quiet for as long as a file that is still being copied, so that the shelf takes it in at once.
        touch($fetch->part(), time() - 5);
        if (! @rename($fetch->part(), $path)) {
            throw new RuntimeException('It cannot be put onto the shelf. What has come is kept: go on.');
        }
        $this->shelf->handle();
        if ($sum !== null) {
            ShelfFile::query()->where('name', $image->file)->update([
                'published_sha256' => $sum, 'published_by' => $image->source ?? 'its publisher',
            ]);
        }
        $fetch->tell(['state' => 'done']);
        $this->stone($fetch, $image, $sum);
    }

    private function stone(ImageFetch $fetch, Image $image, ?string $sum): void
    {
        $user = User::query()->find($fetch->user_id);
        if ($fetch->job_id === null || $user === null) {
            return;
        }
        try {
            DB::transaction(function () use ($fetch, $image, $sum, $user): void {
                $job = Job::locked((int) $fetch->job_id);
                ContentsRemoved::check($job);
                $this->lay->handle($job, $user, PathFact::IMAGE_FETCHED, ['text' => "{$image->file}, "
                    ."{$image->size()->exact()}, ".($sum === null
                        ? 'its publisher gives no checksum.' : "SHA-256 {$sum}, as its publisher gives it.")]);
            });
        } catch (ContentsRemoved) {
            // It lies on the shelf all the same; the stone is laid by hand.
        }
    }
}
