<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Findings\Findings;
use Cobblestone\Findings\Layouts;
use Cobblestone\Media\WantedFiles;
use Cobblestone\Media\WantedStick;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Rollback;

/** What the path of one kind of job is made of, before it is put in order. */
final readonly class PathDraft
{
    /**
     * @param  string|null  $stick  name of the stick
     * @param  WantedStick|null  $medium  what the stick has to carry
     * @param  WantedFiles|null  $files  what another stick has to carry
     * @param  Rollback|null  $rollback  the way back of an upgrade
     */
    public function __construct(
        public Contribution $contribution,
        public Findings $findings = new Findings(),
        public Layouts $layouts = new Layouts(),
        public ?string $stick = null,
        public ?WantedStick $medium = null,
        public ?WantedFiles $files = null,
        public ?Rollback $rollback = null,
    ) {
    }
}
