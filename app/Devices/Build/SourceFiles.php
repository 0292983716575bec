<?php

namespace App\Devices\Build;

use App\Devices\Inspection\SevenZipTree;
use Cobblestone\Media\Build\StickPlan;

/** Where a build takes its bytes: the image, its tree, and a folder of drivers. */
final class SourceFiles
{
    public function __construct(public readonly string $image, public readonly ?string $drivers = null)
    {
    }

    public function tree(StickPlan $plan): SevenZipTree
    {
        return new SevenZipTree($this->image, (string) $plan->image->tree);
    }

    /** Path of a driver file, which has to lie inside the folder. */
    public function driver(string $path): string
    {
        $folder = $this->drivers === null ? false : realpath($this->drivers);
        $file = $folder === false ? false : realpath("{$folder}/{$path}");
        if ($folder === false || $file === false || ! str_starts_with($file, "{$folder}/")) {
            throw BuildFailure::of('source', "The driver file {$path} is not there.");
        }

        return $file;
    }

    /** @throws BuildFailure where it is not the image the plan was made for */
    public function mustBe(StickPlan $plan): void
    {
        clearstatcache(true, $this->image);
        if ($plan->image->isFolder()) {
            $this->mustHold($plan);

            return;
        }
        if (! is_file($this->image)) {
            throw BuildFailure::of('source', "The image {$plan->image->file} is not on the shelf any more.");
        }
        if (filesize($this->image) !== $plan->image->bytes) {
            throw BuildFailure::of(
                'source',
                "The image {$plan->image->file} has ".
                    filesize($this->image).
                    " B, the plan is for {$plan->image->bytes} B. Plan again.",
            );
        }
    }

    /** @throws BuildFailure where a file of the folder is not there, or is another than planned */
    private function mustHold(StickPlan $plan): void
    {
        foreach ($plan->files as $file) {
            $bytes = filesize($this->driver($file->source));
            if ($bytes !== $file->bytes) {
                throw BuildFailure::of('source', "{$file->source} has {$bytes} B, the plan is for {$file->bytes} B.");
            }
        }
    }
}
