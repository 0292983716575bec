<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Stick;
use Cobblestone\Runbook\Contribution;

/** The stick as planned, and what making it adds to the path. */
final readonly class MediaPlan
{
    /** @param  array<string, mixed>|null  $layout what will be on the stick, in bytes and sectors */
    public function __construct(
        public WriteMode $mode,
        public ?Stick $stick,
        public ?array $layout,
        public ?string $label,
        public Contribution $contribution,
    ) {
    }
}
