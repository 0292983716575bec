<?php

namespace App\Jobs;

use App\Devices\Inspection\Inspection;
use App\Models\CatalogueEntry;
use App\Models\ShelfFile;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use RuntimeException;

/** Looks into a file of the shelf. */
final class InspectShelfFile implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public function __construct(private readonly int $file)
    {
    }

    public function handle(): void
    {
        $file = ShelfFile::query()->find($this->file);
        if ($file === null || ! $file->here) {
            return;
        }
        $image = $file->slug === null ? null : CatalogueEntry::query()->where('kind', 'images')->where('slug', $file->slug)->first();
        try {
            $file->update(['report' => Inspection::of($file->path(), $image?->document['loader']['next_stage'] ?? null)->toArray()]);
        } catch (RuntimeException) {
            $file->update(['here' => is_file($file->path())]);
        }
    }
}
