<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

it('makes a path of any word for any fact, or says which fact cannot be so', function (string $job, mixed $value) {
    foreach (FactRegistry::names() as $fact) {
        $brief = Demo::brief($job);
        $brief['machine']['facts'][$fact] = $value;
        try {
            $plan = JobPlanner::plan(Brief::fromArray($brief), Demo::catalogue(), Policy::of());
            $stored = json_decode((string) json_encode($plan->toArray()), true);
            expect(count(Plan::fromArray($stored)->steps))->toBe(count($plan->steps));
        } catch (BriefFault $fault) {
            expect($fault->field)->toBe("machine.facts.{$fact}");
        }
    }
})->with(['unknown-laptop', 'cable-restore'])->with(['vinyl', -3.5, true, '0']);

it('says which word or number cannot be', function (string $fact, mixed $value, string $says) {
    $brief = Demo::brief('unknown-laptop');
    $brief['machine']['facts'][$fact] = $value;
    expect(fn () => JobPlanner::plan(Brief::fromArray($brief), Demo::catalogue(), Policy::of()))
        ->toThrow(BriefFault::class, $says);
})->with([
    ['image.kind', 'vinyl', 'machine.facts.image.kind: choose one of optical, optical-hybrid, raw'],
    ['drive_bytes', -3.5, 'machine.facts.drive_bytes: "-3.5" cannot be read as a size.'],
    ['screen.rate_hz', 1, 'picture rate of the owner\'s screen, Hz is between 20 and 1000; "1" cannot be'],
    ['machine.managed', 'jes', '"jes" is not one of yes, no and unknown.'],
    ['cores', -1, 'machine.facts.cores: "-1" is no number of 0 or more'],
]);
