<?php

namespace App\View;

use App\Models\ShelfFile;
use Cobblestone\Runbook\Plan;
use Illuminate\Database\Eloquent\Collection;

/** What the shelf has for a stone of the media part: the images of the job's own system. */
final class ShelfFor
{
    /** @return Collection<int, ShelfFile> */
    public static function step(Plan $plan, string $step): Collection
    {
        $system = $plan->job->system ?? null;
        if ($system === null || ! (str_starts_with($step, 'media.') || str_starts_with($step, 'image.'))) {
            return new Collection();
        }

        /** @var Collection<int, ShelfFile> $files */
        $files = ShelfFile::query()
            ->where('here', true)
            ->where('about->line', $system)
            ->orderByDesc('name')
            ->limit(6)
            ->get();

        return $files;
    }
}
