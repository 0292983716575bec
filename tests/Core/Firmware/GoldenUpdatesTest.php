<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Firmware\BoardFitted;
use Cobblestone\Firmware\MemoryProfile;
use Cobblestone\Firmware\PortPower;
use Cobblestone\Firmware\ReleasePath;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Firmware\UpdateSupply;
use Cobblestone\Job\JobContext;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

it('updates like this', function () {
    $releases = Demo::catalogue()->machine('brackwater-capstan-t3')->firmware->releases;
    $found = [];
    foreach (['F5', 'F9', 'F12', 'F14', 'F20'] as $from) {
        foreach ([null, 'F9', 'F12', 'F14', 'F99'] as $to) {
            foreach ([[null, null], ['Ostler R4', '2'], ['Ostler R6', '1']] as [$processor, $revision]) {
                $path = UpdatePath::find(
                    $releases,
                    $from,
                    $to,
                    $to === null ? 'newer processors' : null,
                    new BoardFitted($processor, $revision),
                );
                $found["{$from} {$to} {$processor} {$revision}"] = [
                    array_column($path->stops, 'version'),
                    $path->target,
                    $path->fault,
                    $path->leftOut,
                    $path->writing()->label(),
                    $path->total(0)->label(),
                    $path->total(6)->label(),
                ];
            }
        }
    }
    $found['lowest'] = [
        ReleasePath::lowestGiving($releases, null),
        ReleasePath::lowestGiving($releases, 'memory above 6000'),
        ReleasePath::lowestGiving($releases, 'tea'),
        ReleasePath::lowestGiving([], null),
    ];
    foreach ([1600, 2133, 2400, 2666, 2667, 3000, 3200, 3600, 4800, 5600, 6400] as $rate) {
        $found['memory'][$rate] = [
            array_map(fn (MemoryProfile $way): string => $way->sentence(), MemoryProfile::ways($rate, false)),
            array_map(fn (MemoryProfile $way): string => $way->sentence(), MemoryProfile::ways($rate, true)),
        ];
    }
    holdsFirmwareGolden('updates', $found);
});

it('powers an update like this', function () {
    $tell = fn (Contribution $part): array => [
        array_map(fn (Step $step): array => $step->toArray(), $part->steps),
        array_map(fn (Decision $one): array => $one->toArray(), $part->decisions),
        array_map(fn ($one): array => $one->toArray(), $part->gather),
        array_map(fn ($one): array => $one->toArray(), $part->blockers),
    ];
    $found = [];
    foreach (
        [
            'fairlead-13' => [],
            'capstan-t3' => [],
            'new-capstan' => ['power.load_w' => 120, 'ups.usable_wh' => 90],
            'locked-capstan' => ['power.load_w' => 400, 'ups.usable_wh' => 20],
        ] as $brief => $facts
    ) {
        $data = Demo::brief($brief);
        $data['machine']['facts'] = [...($data['machine']['facts'] ?? []), ...$facts];
        $found[$brief] = $tell(UpdateSupply::plan(
            JobContext::of(Brief::fromArray($data), Demo::catalogue(), Policy::of())->machine,
            Duration::minutes(11),
        ));
    }
    holdsFirmwareGolden('supply', $found);
});

it('powers the job like this while the stick is in', function () {
    $found = [];
    foreach (
        ['fairlead-13' => [], 'pocket-lantern' => [], 'unknown-laptop' => [], 'capstan-t3' => []] as $brief => $facts
    ) {
        $machine = JobContext::of(Brief::fromArray(Demo::brief($brief)), Demo::catalogue(), Policy::of())->machine;
        foreach ([5, 40, 400] as $minutes) {
            $part = PortPower::plan($machine, Duration::minutes($minutes));
            $found[$brief][$minutes] = [
                array_map(fn (Step $step): array => $step->toArray(), $part->steps),
                array_map(fn (Decision $one): array => $one->toArray(), $part->decisions),
                array_map(fn ($one): array => $one->toArray(), $part->gather),
                $part->initial,
                array_map(fn ($one): array => $one->toArray(), $part->blockers),
                array_map(fn (Question $one): array => $one->toArray(), $part->questions),
            ];
        }
    }
    holdsFirmwareGolden('port-power', $found);
});
