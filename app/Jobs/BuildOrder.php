<?php

namespace App\Jobs;

use App\Devices\Build\SourceFiles;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Media\Build\StickPlan;

/** What is built onto which stick, from where, and who ordered it. */
final readonly class BuildOrder
{
    /**
     * @param  array<string, string|null>  $about  what the shelf says of the image
     * @param  int|null  $user  who ordered it; null from the command line
     * @param  int|null  $job  number of the job that it is built for
     * @param  HostProfile|null  $madeOn  kind of computer that made it: then it is only proven here
     * @param  int|null  $build  number of the build, where it stands in the queue
     */
    public function __construct(
        public string $slug,
        public StickPlan $plan,
        public SourceFiles $source,
        public array $about = [],
        public ?int $user = null,
        public ?int $build = null,
        public ?int $job = null,
        public ?HostProfile $madeOn = null,
    ) {
    }
}
