<?php

namespace App\Jobs;

use App\Devices\Inspection\Inspection;
use App\Devices\Lease;
use App\Models\CatalogueEntry;
use App\Models\ShelfFile;
use Cobblestone\Media\Inspection\ImageReport;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use RuntimeException;

/** Looks into a file of the shelf. */
final class InspectShelfFile implements ShouldQueue
{
    use Queueable;

    /** Given out again when the worker died, and given up when it died of this file three times. */
    public int $tries = 0;

    private const MOST = 3;

    public function __construct(private readonly int $file)
    {
    }

    public function handle(): void
    {
        $file = ShelfFile::query()->find($this->file);
        $lease = $file === null ? null : Lease::take("inspect-{$file->id}");
        if ($file === null || ! $file->here || $lease === null) {
            return;
        }
        if ($this->job !== null && $this->attempts() > self::MOST) {
            self::unreadable($file);

            return;
        }
        $image =
            $file->slug === null
                ? null
                : CatalogueEntry::query()->where('kind', 'images')->where('slug', $file->slug)->first();
        try {
            $file->update([
                'report' => Inspection::of(
                    $file->path(),
                    $image?->document['loader']['next_stage'] ?? null,
                )->toArray(),
            ]);
        } catch (RuntimeException $e) {
            // Gone meanwhile is gone; what is there and cannot be read says so, and is not looked into again and again.
            $file->update(
                is_file($file->path())
                    ? [
                        'report' => ImageReport::unreadable(
                            $file->name,
                            (int) $file->bytes,
                            "It cannot be read: {$e->getMessage()}",
                        )->toArray(),
                    ]
                    : ['here' => false],
            );
        }
    }

    private static function unreadable(ShelfFile $file): void
    {
        $file->update([
            'report' => ImageReport::unreadable(
                $file->name,
                (int) $file->bytes,
                'Looking into it ended the program that looked, '.
                    self::MOST.
                    ' times. It was given up; no image made in good faith does that.',
            )->toArray(),
        ]);
    }
}
