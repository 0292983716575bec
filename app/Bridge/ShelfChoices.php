<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\ShelfFile;

/** Images that lie on the shelf, were inspected, and are in no entry of the catalogue: they can be chosen for a job. */
final class ShelfChoices
{
    private const MOST = 40;

    /** @return array<array-key, string> number => words */
    public static function of(): array
    {
        $choices = [];
        $files = ShelfFile::query()->where('here', true)->whereNull('slug')->whereNotNull('report')
            ->orderByDesc('id')->limit(self::MOST)->get();
        /** @var ShelfFile $file */
        foreach ($files as $file) {
            if ($file->inspected()?->isDamaged() === false) {
                $choices[(string) $file->id] = "{$file->title()}, as inspected on the shelf";
            }
        }

        return $choices;
    }
}
