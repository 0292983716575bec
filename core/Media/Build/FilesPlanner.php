<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

use Cobblestone\Media\StickContent;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\Scheme;

/** A stick of plain files, with no image behind it: firmware, or drivers (rules F5, M8). */
final class FilesPlanner
{
    /**
     * @param  string  $label  wished for; FAT takes it as it can
     * @param  list<PlannedFile>  $files  out of a folder
     * @param  list<string>  $taken  labels of other sticks
     *
     * @throws PlanFault|LayoutImpossible with the figures that rule it out
     */
    public static function plan(
        string $title,
        StickTarget $target,
        Scheme $scheme,
        string $label,
        array $files,
        array $taken = [],
    ): StickPlan {
        if ($files === []) {
            throw PlanFault::notPossible('There is no file to put onto the stick.');
        }
        $bytes = array_sum(array_map(static fn (PlannedFile $file): int => $file->bytes, $files));
        $mark = StickContent::markOf($files);
        $image = new SourceImage(SourceImage::NONE, $bytes, $mark, null, null, SourceImage::FOLDER);
        $wish = new StickWish($title, Bytes::mebi(1), WriteMode::FilesCopied, $scheme, takenLabels: $taken);
        $plan = StickPlanner::planned($image, $target, $wish, $label, $files);
        $plan->mustHold();

        return $plan;
    }
}
