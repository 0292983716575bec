<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Job\Path\CollectingStick;
use Cobblestone\Media\WantedStick;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/** @param  array<string, mixed>  $image  of the one medium that lets the collector run */
function readFirst(bool $collect, array $image = [], string $model = 'norrel-fairlead-13'): Plan
{
    $orrin = array_filter([...Demo::catalogue()->all('images')['orrin-desktop-3'], ...$image]);

    return JobPlanner::plan(Brief::fromArray([
        'brief' => 1, 'title' => 'read first', 'system' => 'tansy-desktop-7', 'image' => 'tansy-desktop-7-dock',
        'machine' => ['model' => $model, 'facts' => ['owner.keep' => 'nothing']],
        ...$collect ? ['collect' => true] : [],
    ]), Demo::catalogue()->with('images', ['orrin-desktop-3' => $orrin]), Policy::of());
}

/** @return list<string> */
function collectingStones(Plan $plan): array
{
    return array_values(array_filter(
        array_map(fn (Step $step): string => $step->id, $plan->steps),
        fn (string $id): bool => str_starts_with($id, 'collect.'),
    ));
}

function whyNone(Plan $plan): ?Decision
{
    foreach ($plan->decisions as $decision) {
        if ($decision->id === 'collect.medium') {
            return $decision;
        }
    }

    return null;
}

it('makes, starts and brings back a collecting stick where a job asks for one', function () {
    $plan = readFirst(true);
    expect(collectingStones($plan))->toBe(['collect.stick', 'collect.run', 'collect.bring']);
    $wanted = WantedStick::collecting($plan);
    expect($wanted?->file)->toBe('orrin-desktop-3.1.iso')
        ->and($wanted?->storage)->toBeTrue()
        ->and($wanted?->stick)->not->toBeNull()
        ->and(WantedStick::of($plan)?->storage)->toBeFalse();
    $steps = array_column(array_map(fn (Step $step): array => [$step->id, $step], $plan->steps), 1, 0);
    $order = array_keys($steps);
    expect(array_search('collect.bring', $order, true))->toBeLessThan(array_search('gather.lay-out', $order, true))
        ->and(implode(' ', $steps['collect.run']->instructions))
        ->toContain('INSTALLER/'.CollectingStick::FOLDER.'/cobblestone-collect STORAGE')
        ->toContain('Control, Alt and F2');
});

it('adds nothing where none is asked for', function () {
    expect(collectingStones(readFirst(false)))->toBe([])
        ->and(WantedStick::collecting(readFirst(false)))->toBeNull()
        ->and(whyNone(readFirst(false)))->toBeNull();
});

it('says why no medium will do', function (array $image, string $model, string $says) {
    $plan = readFirst(true, $image, $model);
    expect(collectingStones($plan))->toBe([])
        ->and(WantedStick::collecting($plan))->toBeNull()
        ->and(json_encode(whyNone($plan)?->toArray()))->toContain($says);
})->with([
    [['at_hand' => ['here' => false]], 'norrel-fairlead-13', 'does not lie on the shelf'],
    [['architecture' => 'arm-64'], 'norrel-fairlead-13', 'it is for arm-64'],
    [['files' => null], 'norrel-fairlead-13', 'cannot be copied onto a partition'],
    [['collects' => null], 'norrel-fairlead-13', 'No medium that this bench knows'],
]);

it('says of the stick, its start and its bundle what is true of this machine', function (
    string $name,
    array $image,
    array $machine,
) {
    $plan = readFirst(true, $image, ...$machine);
    $steps = array_filter($plan->steps, fn (Step $step): bool => str_starts_with($step->id, 'collect.'));
    holdsGolden("paths/{$name}", [
        'steps' => array_values(array_map(fn (Step $step): array => $step->toArray(), $steps)),
        'medium' => whyNone($plan)?->toArray(),
        'wanted' => get_object_vars(WantedStick::collecting($plan) ?? new stdClass),
    ]);
})->with([
    ['collecting-fairlead', [], []],
    ['collecting-lantern', [], ['wickley-pocket-lantern']],
    ['collecting-unsystem', ['system' => 'no-such', 'architecture' => null], ['norrel-fairlead-13']],
    ['collecting-none', ['architecture' => 'arm-64', 'at_hand' => ['here' => false]], []],
]);

it('takes the smallest medium of those that do', function () {
    $orrin = Demo::catalogue()->all('images')['orrin-desktop-3'];
    $files = is_array($orrin['files']) ? $orrin['files'] : [];
    $small = [...$orrin, 'id' => 'small', 'file' => 'small.iso', 'name' => 'Small', 'files' => [
        ...$files, 'bytes' => 1_000_000_000,
    ]];
    $orders = [['orrin-desktop-3' => $orrin, 'small' => $small], ['orrin-desktop-3' => $small, 'small' => $orrin]];
    foreach ($orders as $all) {
        $plan = JobPlanner::plan(Brief::fromArray([
            'brief' => 1, 'title' => 'read first', 'system' => 'tansy-desktop-7', 'image' => 'tansy-desktop-7-dock',
            'machine' => ['model' => 'norrel-fairlead-13', 'facts' => ['owner.keep' => 'nothing']], 'collect' => true,
        ]), Demo::catalogue()->with('images', $all), Policy::of());
        expect(WantedStick::collecting($plan)?->file)->toBe('small.iso');
    }
});
