<?php

// The rehearsal of a brief's path: benchmark-rehearse.php JOB prints median and first run in ms and the peak of the whole process, planning included, in MB.
require __DIR__.'/../vendor/autoload.php';

use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\Rehearsal;
use Tests\Support\Demo;

$plan = Demo::plan($argv[1]);
$boot = $plan->assessment->block('boot')->all();
$times = [];
for ($i = 0; $i < 101; $i++) {
    $begun = hrtime(true);
    Rehearsal::run(BootScene::fromArray($boot), $plan->steps);
    $times[] = (hrtime(true) - $begun) / 1e6;
}
$first = $times[0];
sort($times);
printf("%.2f %.2f %.1f\n", $times[50], $first, memory_get_peak_usage(true) / 1e6);
