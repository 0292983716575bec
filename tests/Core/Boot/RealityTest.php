<?php

use Cobblestone\Boot\Advice;
use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\Quirk;
use Cobblestone\Boot\Reality;
use Cobblestone\Boot\Rehearsal;
use Cobblestone\Brief\SeenStart;
use Cobblestone\Runbook\Wants;
use Tests\Support\Demo;

it('lets what was seen on a model outrank what was worked out', function () {
    $scene = BootScene::fromArray(Demo::plan('fairlead-13')->assessment->all()['boot']);
    $with = new BootScene(
        $scene->state,
        $scene->stick,
        $scene->system,
        $scene->systemEntry,
        $scene->defaults,
        [new Quirk(Wants::Installer, Outcome::InstallerStarts, Outcome::StopsInSetup, 3)],
    );
    $starts = Rehearsal::run($with, Demo::plan('fairlead-13')->steps);
    $start = array_values(array_filter($starts, fn (PowerOn $start): bool => $start->wants === Wants::Installer))[0];
    expect($start->prediction->outcome)->toBe(Outcome::StopsInSetup)
        ->and($start->prediction->ground)->toBe(Ground::SeenHere)
        ->and($start->prediction->ground->title($start->prediction->times))->toBe('seen on this model 3 times')
        ->and($start->blocks())->toBeFalse()->and($start->possible)->toBe([Outcome::StopsInSetup]);
    expect(BootScene::fromArray(json_decode(json_encode($with->toArray()), true)))->toEqual($with);
});

it('counts what was seen against what was predicted', function () {
    $one = ['wants' => 'installer', 'predicted' => 'installer-starts', 'seen' => 'silent'];
    expect(Reality::accuracy([]))->toBe(['right' => 0, 'of' => 0, 'percent' => null])
        ->and(Reality::accuracy([
            $one,
            [...$one, 'seen' => 'installer-starts'],
            [...$one, 'seen' => 'installer-starts'],
        ]))
        ->toBe(['right' => 2, 'of' => 3, 'percent' => 66.7])
        ->and(array_map(
            fn (Quirk $quirk): array => $quirk->toArray(),
            Reality::quirks([
                $one,
                [...$one, 'seen' => 'stops-in-setup'],
                $one,
                [...$one, 'seen' => 'installer-starts'],
            ]),
        ))
        ->toBe([
            ['wants' => 'installer', 'predicted' => 'installer-starts', 'seen' => 'silent', 'times' => 2],
            ['wants' => 'installer', 'predicted' => 'installer-starts', 'seen' => 'stops-in-setup', 'times' => 1],
        ]);
});

it('offers what could have happened, the possible first, never what was predicted', function (Wants $wants) {
    $choices = Reality::choices($wants, Outcome::InstallerStarts, [Outcome::InstallerStarts, Outcome::Silent]);
    expect($choices[0])->toBe(Outcome::Silent)
        ->and($choices)->not->toContain(Outcome::InstallerStarts)
        ->and(count($choices))->toBeGreaterThanOrEqual(3)
        ->and(array_unique($choices, SORT_REGULAR))->toHaveCount(count($choices));
})->with(Wants::cases());

it('begins a step with what mends the last try, in the order for sticks that are not listed', function () {
    $step = Demo::plan('fairlead-13')->step('boot.start');
    $seen = [
        new SeenStart('boot.start', 'silent'),
        new SeenStart('boot.start', 'no-bootable-device'),
        new SeenStart('other', 'silent'),
    ];
    expect(Reality::advise($step, $seen)->instructions[0])->toBe(
        'Last time: no bootable device. Not in the list, in this order: another port on the board; written for the '
            .'other mode; USB start off in the setup; the firmware\'s fast start; another stick.',
    )
        ->and(Reality::advise($step, [new SeenStart('boot.start', 'loader-stopped')])->instructions[0])
        ->toContain('First: Write the stick again')
        ->and(Reality::advise($step, [new SeenStart('other', 'silent'), new SeenStart('boot.start', 'nonsense')]))
        ->toBe($step);
    expect(
        Demo::plan('fairlead-13', ['seen' => array_map(fn (SeenStart $one) => $one->toArray(), $seen)])
            ->step('boot.start')?->instructions[0],
    )
        ->toStartWith('Last time: no bootable device.');
});

it('names a way out of every failure', function (Outcome $outcome) {
    $advice = Advice::forOutcome($outcome);
    $good = in_array(
        $outcome,
        [Outcome::InstallerStarts, Outcome::WantedSystemStarts, Outcome::RecoveryStarts, Outcome::StopsInSetup],
        true,
    );
    expect($advice->fix === '')->toBe($good)->and($advice->who)->toBeIn(['technician', 'lead', 'owner']);
})->with(Outcome::cases());
