<?php

// What a plan asks of the times seen on a bench of years: milliseconds, the middle of 25. bin/benchmark calls it.

use App\Bridge\Experience;
use App\Catalogue\CatalogueFolder;
use App\Documents\BriefDocument;
use Cobblestone\Brief\Brief;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

$catalogue = CatalogueFolder::read(base_path('catalogue'))->catalogue();
$brief = Brief::fromArray(BriefDocument::fromFile(base_path('docs/guide/briefs/fairlead-13.yaml')));
$steps = JobPlanner::plan($brief, $catalogue, Policy::of())->steps;
$experience = new Experience;
$times = [];
for ($i = 0; $i < 25; $i++) {
    $began = hrtime(true);
    [, $seen] = $experience->planning($catalogue, 'norrel-fairlead-13', 'Tansy Desktop 7');
    foreach ($steps as $step) {
        $seen->over($step);
    }
    $times[] = (hrtime(true) - $began) / 1e6;
}
sort($times);
printf("%.2f\n", $times[12]);
