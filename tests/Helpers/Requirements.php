<?php

use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

function fit(array $facts, array $policy = [], array $more = []): Plan
{
    return Demo::plan(
        'fairlead-13',
        ['machine' => ['facts' => ['drive.encryption' => 'none', ...$facts]], ...$more],
        $policy,
    );
}
