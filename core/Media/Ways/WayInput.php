<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Quantity\Bytes;

/** What the ways of one image are compared with: the image, its largest files, what else has to go along. */
final readonly class WayInput
{
    /**
     * @param  array<string, int>  $tooLarge  files past FAT32's limit: path => bytes
     * @param  array<string, string>  $parts  files whose parts the installer joins: path => pattern
     * @param  bool  $ownSplitter  whether the parts are cut by the system's own splitter, which does not run here
     * @param  bool  $elsewhere  whether the installer looks for its payload on other volumes
     * @param  int  $driverFiles  packages that have to be on a stick too
     */
    public function __construct(
        public ImageReport $report,
        public array $tooLarge,
        public array $parts,
        public bool $ownSplitter,
        public bool $elsewhere,
        public Bytes $drivers,
        public int $driverFiles,
    ) {
    }

    /**
     * Files that no FAT32 partition of this image's stick can take, whole or in parts.
     *
     * @return list<string>
     */
    public function unsplittable(): array
    {
        return array_values(
            array_filter(array_keys($this->tooLarge), fn (string $path): bool => ! isset($this->parts[$path])),
        );
    }
}
