<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Firmware\ChangePlan;
use Cobblestone\Firmware\FirmwareNeeds;
use Cobblestone\Firmware\MemoryNeed;
use Cobblestone\Firmware\MemoryProfile;
use Cobblestone\Firmware\Need;
use Cobblestone\Firmware\PortPower;
use Cobblestone\Firmware\PressSequence;
use Cobblestone\Firmware\RankedWay;
use Cobblestone\Firmware\ReleasePath;
use Cobblestone\Firmware\Setting;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Firmware\UpdateSupply;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\KindDefaults;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;
use Tests\Support\Entries;

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
        'blockers' => array_map(fn ($one) => $one->toArray(), $plan->blockers), 'initial' => $plan->initial,
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
    foreach (Demo::catalogue()->machines() as $id => $model) {
        $machine = JobContext::of(Brief::fromArray(['brief' => 1, 'title' => 'x', 'goal' => 'firmware-update', 'machine' => ['model' => $id]]), Demo::catalogue(), Policy::of())->machine;
        foreach (['menu' => WayIn::menu($machine), 'setup' => WayIn::setup($machine), 'recovery' => WayIn::recovery($machine)] as $which => $way) {
            $found[$id][$which] = ['source' => $way->source, 'lines' => $way->instructions('the list'), 'ranking' => array_map(fn (RankedWay $one): array => [$one->way->name(), $one->from, $one->worked, $one->missed, $one->percent()], $way->ranking)];
            foreach ($way->ways as $one) {
                $sequence = PressSequence::of($one);
                $found[$id][$which]['presses'][] = [array_map(fn ($press): array => [$press->what, $press->from, $press->to, $press->tapped], $sequence->presses), $sequence->marks, $sequence->seconds, $sequence->lanes()];
            }
        }
        if ($model->recovery !== null) {
            $sequence = PressSequence::ofMoves($model->recovery->sequence);
            $found[$id]['cable'] = [array_map(fn ($press): array => [$press->what, $press->from, $press->to], $sequence->presses), $sequence->marks, $sequence->seconds, $sequence->lanes()];
        }
    }
    foreach (Kind::cases() as $kind) {
        $found['kinds'][$kind->value] = KindDefaults::waysIn($kind)->toArray();
    }
    holdsFirmwareGolden('ways-in', $found);
});

it('updates like this', function () {
    $releases = Demo::catalogue()->machine('brackwater-capstan-t3')->firmware->releases;
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
    $tell = fn (Contribution $part): array => [array_map(fn (Step $step): array => $step->toArray(), $part->steps), array_map(fn (Decision $one): array => $one->toArray(), $part->decisions), array_map(fn ($one): array => $one->toArray(), $part->gather), array_map(fn ($one): array => $one->toArray(), $part->blockers)];
    $found = [];
    foreach (['fairlead-13' => [], 'capstan-t3' => [], 'new-capstan' => ['power.load_w' => 120, 'ups.usable_wh' => 90], 'locked-capstan' => ['power.load_w' => 400, 'ups.usable_wh' => 20]] as $brief => $facts) {
        $data = Demo::brief($brief);
        $data['machine']['facts'] = [...($data['machine']['facts'] ?? []), ...$facts];
        $found[$brief] = $tell(UpdateSupply::plan(JobContext::of(Brief::fromArray($data), Demo::catalogue(), Policy::of())->machine, Duration::minutes(11)));
    }
    holdsFirmwareGolden('supply', $found);
});

it('needs and knows these settings', function () {
    $found = ['order' => Setting::ORDER];
    foreach ([...Setting::USUAL, ...Setting::BESIDES, 'wake_by_key'] as $id) {
        $usual = Setting::usual($id);
        $found['usual'][$id] = [$usual->title, $usual->place, $usual->values, $usual->requires, $usual->default, $usual->rank(), Setting::undescribed($id)->title, Setting::undescribed($id)->place, Setting::undescribed($id)->values];
    }
    foreach (Demo::catalogue()->machines() as $id => $model) {
        $found['models'][$id] = array_map(fn (Setting $one): array => [$one->id, $one->title, $one->place, $one->values, $one->requires, $one->default, $one->rank()], array_map(Setting::of(...), $model->settings()));
    }
    $need = fn (Need $one): array => [$one->setting, $one->value, $one->because, $one->rule, $one->stays, $one->weakens, $one->accepts, $one->whose, $one->values()];
    $systems = ['tansy-desktop-7' => 'tansy-desktop-7-dock', 'orrin-desktop-3' => 'orrin-desktop-3', 'corvane-play-2' => 'corvane-play-2', 'skerry-rolling' => 'skerry-rolling'];
    foreach (['brackwater-capstan-t1', 'brackwater-capstan-t3', 'norrel-fairlead-13', 'wickley-pocket-lantern', 'norrel-reedling-10'] as $model) {
        foreach ($systems as $system => $image) {
            $context = JobContext::of(Brief::fromArray(['brief' => 1, 'title' => 'x', 'machine' => ['model' => $model], 'system' => $system, 'image' => $image]), Demo::catalogue(), Policy::of());
            $found['needs']["{$system} on {$model}"] = array_map($need, FirmwareNeeds::of($context->machine, $context->system(), $context->image(), [], $system === 'orrin-desktop-3'));
        }
    }
    $modules = fn (int ...$pairs): array => array_map(fn (array $pair): MemoryModule => new MemoryModule('A', Bytes::gibi(8), ratedTransfers: $pair[0], setTransfers: $pair[1] === 0 ? null : $pair[1]), array_chunk($pairs, 2));
    foreach (['slow' => $modules(3200, 2400, 3600, 2400), 'odd rate' => $modules(3700, 2400), 'not set' => $modules(3200, 0), 'as rated' => $modules(3200, 3200), 'faster than rated' => $modules(3200, 3600), 'one faster' => $modules(3200, 3200, 3200, 2400), 'with an empty slot' => [...$modules(3200, 2400), new MemoryModule('B', null)]] as $name => $fitted) {
        foreach ([false, true] as $counts) {
            $model = Demo::catalogue()->machine('brackwater-capstan-t3')->toArray();
            $model['firmware']['multiplier_counts_transfers'] = $counts;
            $found['memory'][$name.($counts ? ', by transfers' : '')] = array_map($need, MemoryNeed::of(new Machine('Test', Kind::Desktop, FactSheet::empty(), model: MachineModel::fromArray($model), modules: $fitted)));
        }
    }
    $bare = new Machine('Test', Kind::Desktop, FactSheet::empty(), model: Entries::model(['firmware' => ['settings' => [['id' => 'memory_profile', 'title' => 'M', 'place' => 'P', 'values' => ['standard', 'rated'], 'default' => 'standard']]]]));
    $waiting = MemoryNeed::waiting(ChangePlan::of($bare, [new Need('memory_profile', 'rated', 'x', 'F4')]));
    $found['waiting'] = [$waiting?->toArray(), MemoryNeed::waiting(ChangePlan::of($bare, []))];
    holdsFirmwareGolden('needs', $found);
});

it('powers the job like this while the stick is in', function () {
    $found = [];
    foreach (['fairlead-13' => [], 'pocket-lantern' => [], 'unknown-laptop' => [], 'capstan-t3' => []] as $brief => $facts) {
        $machine = JobContext::of(Brief::fromArray(Demo::brief($brief)), Demo::catalogue(), Policy::of())->machine;
        foreach ([5, 40, 400] as $minutes) {
            $part = PortPower::plan($machine, Duration::minutes($minutes));
            $found[$brief][$minutes] = [array_map(fn (Step $step): array => $step->toArray(), $part->steps), array_map(fn (Decision $one): array => $one->toArray(), $part->decisions), array_map(fn ($one): array => $one->toArray(), $part->gather), $part->initial, array_map(fn ($one): array => $one->toArray(), $part->blockers), array_map(fn (Question $one): array => $one->toArray(), $part->questions)];
        }
    }
    holdsFirmwareGolden('port-power', $found);
});
