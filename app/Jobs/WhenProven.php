<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\StickBuild;

/** What follows when a build is done and every byte was read back. */
interface WhenProven
{
    /** @return array<string, mixed> what is told beside the build */
    public function proven(StickBuild $build): array;
}
