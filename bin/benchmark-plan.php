<?php

// Prints "median-ms first-ms peak-MB" for planning one of the guide's briefs in core, without framework and database.
require __DIR__.'/../vendor/autoload.php';

use Cobblestone\Brief\Brief;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Symfony\Component\Yaml\Yaml;

$entries = [];
foreach (Catalogue::KINDS as $kind) {
    foreach (glob(__DIR__."/../catalogue/{$kind}/*.yaml") ?: [] as $file) {
        $document = Yaml::parseFile($file);
        $entries[$kind][$document['id']] = $document;
    }
}
$brief = Yaml::parseFile(__DIR__."/../docs/guide/briefs/{$argv[1]}.yaml");
$times = [];
for ($i = 0; $i < 25; $i++) {
    $begun = hrtime(true);
    JobPlanner::plan(Brief::fromArray($brief), new Catalogue($entries), Policy::of());
    $times[] = (hrtime(true) - $begun) / 1e6;
}
$first = $times[0];
sort($times);
printf("%.2f %.2f %.1f\n", $times[12], $first, memory_get_peak_usage(true) / 1e6);
