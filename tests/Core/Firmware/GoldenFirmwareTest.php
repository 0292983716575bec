<?php

use Cobblestone\Firmware\MemoryProfile;
use Cobblestone\Firmware\PressSequence;
use Cobblestone\Firmware\RankedWay;
use Cobblestone\Firmware\ReleasePath;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Firmware\UpdateSupply;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\Brief;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\KindDefaults;
use Cobblestone\Job\Policy;
use Cobblestone\Machine\Kind;
use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/** What is said, word for word; read before it is accepted with UPDATE_GOLDEN=1. */
function holdsFirmwareGolden(string $name, mixed $found): void
{
    $file = Demo::root()."/tests/fixtures/firmware/{$name}.json";
    $text = json_encode($found, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    if (getenv('UPDATE_GOLDEN') === '1') {
        is_dir(dirname($file)) || mkdir(dirname($file));
        file_put_contents($file, $text);
    }
    expect(explode("\n", $text))->toBe(explode("\n", (string) file_get_contents($file)));
}

/** @return array<string, mixed> what the firmware part brought to a path */
function firmwarePartOf(Plan $plan): array
{
    $mine = ['firmware.', 'boot.', 'put-back.', 'power.'];
    $is = fn (string $id): bool => array_filter($mine, fn (string $start): bool => str_starts_with($id, $start)) !== [];

    return [
        'steps' => array_map(fn (Step $step): array => $step->toArray(), array_values(array_filter($plan->steps, fn (Step $step): bool => $is($step->id)))),
        'decisions' => array_map(fn (Decision $one): array => $one->toArray(), array_values(array_filter($plan->decisions, fn (Decision $one): bool => $is($one->id)))),
        'questions' => array_map(fn (Question $one): array => $one->toArray(), array_values(array_filter($plan->questions, fn (Question $one): bool => $is($one->fact) || str_starts_with($one->fact, 'choice.')))),
        'blockers' => $plan->blockers, 'initial' => $plan->initial,
    ];
}

it('plans the firmware of these paths in these words', function (string $name, string $job, array $changes, array $policy) {
    holdsFirmwareGolden("path-{$name}", firmwarePartOf(Demo::plan($job, $changes, $policy)));
})->with([
    ['fairlead', 'fairlead-13', [], []],
    ['fairlead-permanent', 'fairlead-13', [], ['boot' => 'permanent-order']],
    ['capstan', 'capstan-t3', ['machine' => ['facts' => ['target.path' => 'nvme0n1']]], []],
    ['capstan-picture', 'capstan-t3', ['machine' => ['facts' => ['graphics.uefi_picture' => 'no', 'firmware.boot_mode' => 'both', 'firmware.controller_mode' => 'array']]], []],
    ['lantern', 'pocket-lantern', [], []],
    ['unknown', 'unknown-laptop', [], []],
    ['locked', 'locked-capstan', [], []],
    ['unsigned', 'fairlead-13', ['image' => ['name' => 'x.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false]]], []],
    ['old-way-only', 'fairlead-13', ['image' => ['name' => 'old.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false, 'uefi' => false, 'legacy' => true]]], []],
    ['refused', 'fairlead-13', ['machine' => ['facts' => ['stick.refused' => 'yes']]], []],
    ['orrin-on-fairlead', 'fairlead-13', ['image' => 'orrin-desktop-3', 'system' => 'orrin-desktop-3'], []],
]);

it('says the ways in like this', function () {
    $found = [];
    foreach (Demo::catalogue()->all('machines') as $id => $model) {
        $machine = JobContext::of(Brief::fromArray(['brief' => 1, 'title' => 'x', 'goal' => 'firmware-update', 'machine' => ['model' => $id]]), Demo::catalogue(), Policy::of())->machine;
        foreach (['menu' => WayIn::menu($machine), 'setup' => WayIn::setup($machine), 'recovery' => WayIn::recovery($machine)] as $which => $way) {
            $found[$id][$which] = ['source' => $way->source, 'lines' => $way->instructions('the list'), 'ranking' => array_map(fn (RankedWay $one): array => [RankedWay::name($one->way), $one->from, $one->worked, $one->missed, $one->percent()], $way->ranking)];
            foreach ($way->ways as $one) {
                $sequence = PressSequence::of($one);
                $found[$id][$which]['presses'][] = [array_map(fn ($press): array => [$press->what, $press->from, $press->to, $press->tapped], $sequence->presses), $sequence->marks, $sequence->seconds, $sequence->lanes()];
            }
        }
        if (isset($model['recovery']['sequence'])) {
            $sequence = PressSequence::ofMoves($model['recovery']['sequence']);
            $found[$id]['cable'] = [array_map(fn ($press): array => [$press->what, $press->from, $press->to], $sequence->presses), $sequence->marks, $sequence->seconds, $sequence->lanes()];
        }
    }
    foreach (Kind::cases() as $kind) {
        $found['kinds'][$kind->value] = KindDefaults::waysIn($kind);
    }
    holdsFirmwareGolden('ways-in', $found);
});

it('updates like this', function () {
    $releases = Demo::catalogue()->machine('brackwater-capstan-t3')['firmware']['releases'];
    $found = [];
    foreach (['F5', 'F9', 'F12', 'F14', 'F20'] as $from) {
        foreach ([null, 'F9', 'F12', 'F14', 'F99'] as $to) {
            foreach ([[null, null], ['Ostler R4', '2'], ['Ostler R6', '1']] as [$processor, $revision]) {
                $path = UpdatePath::find($releases, $from, $to, $to === null ? 'newer processors' : null, $processor, $revision);
                $found["{$from} {$to} {$processor} {$revision}"] = [array_column($path->stops, 'version'), $path->target, $path->fault, $path->leftOut, $path->writing()->label(), $path->total(0)->label(), $path->total(6)->label()];
            }
        }
    }
    $found['lowest'] = [ReleasePath::lowestGiving($releases, null), ReleasePath::lowestGiving($releases, 'memory above 6000'), ReleasePath::lowestGiving($releases, 'tea'), ReleasePath::lowestGiving([], null)];
    foreach ([1600, 2133, 2400, 2666, 2667, 3000, 3200, 3600, 4800, 5600, 6400] as $rate) {
        $found['memory'][$rate] = [array_map(fn (MemoryProfile $way): string => $way->sentence(), MemoryProfile::ways($rate, false)), array_map(fn (MemoryProfile $way): string => $way->sentence(), MemoryProfile::ways($rate, true))];
    }
    holdsFirmwareGolden('updates', $found);
});

it('powers an update like this', function () {
    $tell = fn (Contribution $part): array => [array_map(fn (Step $step): array => $step->toArray(), $part->steps), array_map(fn (Decision $one): array => $one->toArray(), $part->decisions), array_map(fn ($one): array => $one->toArray(), $part->gather), $part->blockers];
    $found = [];
    foreach (['fairlead-13' => [], 'capstan-t3' => [], 'new-capstan' => ['power.load_w' => 120, 'ups.usable_wh' => 90], 'locked-capstan' => ['power.load_w' => 400, 'ups.usable_wh' => 20]] as $brief => $facts) {
        $data = Demo::brief($brief);
        $data['machine']['facts'] = [...($data['machine']['facts'] ?? []), ...$facts];
        $found[$brief] = $tell(UpdateSupply::plan(JobContext::of(Brief::fromArray($data), Demo::catalogue(), Policy::of())->machine, Duration::minutes(11)));
    }
    holdsFirmwareGolden('supply', $found);
});
