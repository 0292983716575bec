<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Stick;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Storage\DeviceLayout;
use Cobblestone\Storage\Scheme;

/** The stick as planned, and what making it adds to the path. */
final readonly class MediaPlan
{
    /**
     * @param  DeviceLayout|null  $layout  what will be on the stick; null where it cannot be laid out
     * @param  Scheme|null  $scheme  of the table that the stick is given; null where the image brings its own
     * @param  int  $driverPackages  that travel on this stick
     * @param  bool  $storage  whether the rest of the stick is a partition for other files
     * @param  WantedFiles|null  $files  a second stick, where the drivers do not travel on this one
     */
    public function __construct(
        public WriteMode $mode,
        public ?Stick $stick,
        public ?DeviceLayout $layout,
        public ?string $label,
        public Contribution $contribution,
        public ?Scheme $scheme = null,
        public int $driverPackages = 0,
        public ?WantedFiles $files = null,
        public bool $storage = false,
    ) {
    }
}
