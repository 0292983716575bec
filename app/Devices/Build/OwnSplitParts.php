<?php

namespace App\Devices\Build;

use Cobblestone\Media\Build\SplitCheck;
use Cobblestone\Media\Build\Splitter;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Storage\Reading\FatEntry;

/** The parts that a system's own splitter has cut. */
final class OwnSplitParts
{
    /**
     * Parts of a system's own splitter cannot be compared byte by byte: numbering, sizes and sum are checked instead.
     *
     * @param  array<string, FatEntry>  $found
     * @return array<string, FatEntry> the other files
     */
    public static function without(array $found, StickPlan $plan, Splitter $splitter): array
    {
        $folder = dirname($splitter->pattern).'/';
        $beside = array_filter(
            $found,
            static fn (string $path): bool => str_starts_with(mb_strtoupper($path), mb_strtoupper($folder)),
            ARRAY_FILTER_USE_KEY,
        );
        $whole = 0;
        foreach ($plan->files as $file) {
            $whole = $file->source === $splitter->source ? $file->of : $whole;
        }
        $faults = SplitCheck::faults(
            array_map(static fn (FatEntry $entry): int => $entry->size, $beside),
            $splitter->pattern,
            $splitter->source,
            $whole,
        );
        if ($faults !== []) {
            throw BuildFailure::of('mismatch', "The parts of {$splitter->source} are not "
                .'right. '.implode(' ', $faults));
        }

        return array_filter(
            $found,
            static fn (string $path): bool => ! SplitCheck::isPart($path, $splitter->pattern),
            ARRAY_FILTER_USE_KEY,
        );
    }
}
