<?php

use Cobblestone\Brief\BriefFault;
use Cobblestone\Firmware\BoardFitted;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\Demo;

$decided = fn (Plan $plan, string $id): string => array_column(
    array_map(fn ($one) => [$one->id, $one->chosen.' | '.implode(' ', $one->reasons)], $plan->decisions),
    1,
    0,
)[$id]
    ?? '';
$laid = fn (Plan $plan): array => array_column(WalkThrough::of($plan), 'laid', 'id');

it('says that the system brings the network driver only where it does, and asks before the wipe', function () use (
    $decided,
    $laid,
) {
    $unknown = Demo::plan('unknown-laptop', [
        'machine' => [
            'facts' => [
                'owner.keep' => 'nothing',
                'target.serial' => 'U-1',
                'target.bytes' => '256060514304',
                'drive.encryption' => 'none',
            ],
        ],
    ]);
    expect($unknown->question('network.driver'))->not->toBeNull()->and($laid($unknown)['target.erase'])->toBeFalse()
        ->and(json_encode($unknown->toArray()))->not->toContain(
            'brings a driver for network adapters',
        )->not->toContain('brings its driver');
    $beside = Demo::plan('unknown-laptop', [
        'machine' => [
            'facts' => [
                'owner.keep' => 'nothing',
                'target.serial' => 'U-1',
                'target.bytes' => '256060514304',
                'target.others' => 'none',
                'drive.encryption' => 'none',
                'network.driver' => 'beside',
            ],
        ],
    ]);
    expect($laid($beside)['target.erase'])->toBeTrue()
        ->and($decided($beside, 'drivers.online'))->toStartWith('by another adapter or a phone');
    expect($decided(Demo::plan('fairlead-13'), 'drivers.online'))->toStartWith('Quarrel W2 wireless on the stick');
});

it('decides the order of drivers as the path walks it', function (array $policy) {
    $plan = Demo::plan('fairlead-13', [], $policy);
    $walked = array_values(array_map(
        fn ($step) => $step->title,
        array_filter(
            $plan->steps,
            fn ($step) => array_filter($step->after, fn ($fact) => str_starts_with($fact, 'driver.')) !== [],
        ),
    ));
    $order = array_values(array_filter($plan->decisions, fn ($one) => $one->id === 'drivers.order'))[0];
    expect($order->chosen)->toBe(implode(', then ', $walked));
})->with([
    [[]],
    [['driver_order' => 'network-first']],
    [['driver_order' => 'graphics-first']],
    [['driver_order' => 'free']],
]);

it('takes a restore image only for the model it is made for', function (
    string $model,
    string $image,
    bool $stops,
) use ($laid) {
    $plan = Demo::plan('cable-restore', ['machine' => ['model' => $model], 'image' => $image]);
    expect($plan->verdict()->value)->toBe($stops ? 'stop' : 'go')->and($laid($plan)['install.restore'])->toBe(! $stops);
})->with([
    ['tamber-halden-block', 'halden-one-28-block', false], ['tamber-halden-block', 'halden-one-28-slate-top', true],
    ['tamber-halden-slate-top', 'halden-one-28-slate-top', false],
    ['tamber-halden-slate-top', 'halden-one-28-block', true],
]);

it('asks for every revision of a board before firmware is written', function () use ($laid) {
    $plan = Demo::plan('firmware-update', [
        'machine' => [
            'model' => 'brackwater-capstan-t3',
            'facts' => ['firmware.version' => 'F9', 'drive.encryption' => 'none'],
        ],
        'update' => ['reason' => 'a new processor', 'to' => 'F12'],
    ]);
    expect(array_keys($plan->question('board.revision')->options ?? []))->toBe([1, 2])
        ->and($laid($plan)['firmware.write-f12'])->toBeFalse();
});

it('picks the lowest release that gives what is needed and runs what is and what will be fitted', function (
    ?string $gives,
    ?string $next,
    ?string $target,
    string $because,
) {
    $releases = Demo::catalogue()->machine('brackwater-capstan-t3')->firmware->releases;
    $path = UpdatePath::find($releases, 'F9', null, $gives, new BoardFitted('Ostler R5', '2', $next));
    expect($path->fault === null ? $path->target : null)->toBe($target)
        ->and($path->fault ?? $path->because)->toContain($because);
})->with([
    ['newer processors', null, 'F12', 'the lowest that gives what is needed'],
    [null, 'Ostler R6', 'F12', 'runs the processor that comes in (Ostler R6)'],
    ['memory above 6000', 'Ostler R6', 'F14', 'and gives what is needed'],
    ['newer processors', 'Ostler R4', 'F12', 'Ostler R4'],
    ['memory above 6000', 'Ostler R4', null, 'runs the processor that comes in (Ostler R4) and brings'],
    [null, 'Ostler R9', null, 'No release for this board runs'],
]);

it('keeps the data of a sealed machine that is revived, and asks for its lock first', function () use ($laid) {
    $plan = Demo::plan('cable-restore', ['machine' => ['facts' => ['owner.keep' => 'some']]]);
    expect($plan->step('protect.back-up'))->toBeNull()->and($plan->step('install.revive'))->not->toBeNull()
        ->and($plan->question('owner.lock'))->not->toBeNull()->and($laid($plan)['install.revive'])->toBeFalse();
    $known = Demo::plan('cable-restore', ['machine' => ['facts' => [
        'owner.keep' => 'some', 'owner.lock' => 'none', 'machine.serial' => 'H-1',
    ]]]);
    expect($laid($known)['install.revive'])->toBeTrue();
});

it('asks what of a card nobody has said, and judges supply and leads apart', function () use ($decided, $laid) {
    $asked = Demo::plan('card-swap', [
        'card' => ['new' => 'X', 'watts' => null, 'supply_w' => null, 'processor_w' => null, 'leads' => null],
    ]);
    expect(array_map(fn ($one) => $one->fact, [...$asked->questions, ...$asked->later]))
        ->toContain('card.watts', 'card.supply_w', 'card.processor_w', 'card.leads')
        ->and($laid($asked)['hardware.swap-card'])->toBeFalse();
    $noLeads = Demo::plan('card-swap', ['card' => ['leads' => null]]);
    expect($noLeads->verdict()->value)->toBe('hold')->and($decided($noLeads, 'hardware.supply'))->toStartWith('enough');
    $none = Demo::plan('card-swap', ['card' => ['leads' => []]]);
    expect($none->blockers[0]->reason)->toContain('slot and no lead carry 75 W, it draws 220 W')
        ->and($decided($none, 'hardware.supply'))->toStartWith('enough');
    expect(
        $laid(Demo::plan('card-swap', [
            'card' => ['leads' => null],
            'machine' => ['facts' => [
                'drive.encryption' => 'none',
                'card.leads' => '8-pin, 8-pin',
                'card.length_mm' => 200,
                'card.slots_wide' => 2,
            ]],
        ]))['hardware.swap-card'],
    )
        ->toBeTrue();
});

it('matches the driver of a card from the shelf, with size and checksum', function () {
    $fetch = fn (array $card) => implode(
        ' ',
        Demo::plan('card-swap', ['card' => $card])->step('drivers.fetch')->instructions ?? [],
    );
    expect($fetch(['new' => 'Fennick G7 graphics', 'id' => null]))
        ->toContain('Fennick G7 graphics 560.2 from the shelf: 812.6 MB')
        ->toContain('43b7613278d1133e')
        ->and($fetch(['new' => 'a card', 'id' => 'pci:46e1:7700']))->toContain('560.2')
        ->and($fetch(['new' => 'Ostler X1 graphics card', 'id' => null]))->toContain(
            'The shelf holds no package for Ostler X1 graphics card',
        );
});

it('refuses what is no number where a number is asked for, and reads one as it was typed', function () {
    $with = static fn (mixed $length) => Demo::plan('card-swap', ['machine' => [
        'model' => 'brackwater-capstan-t3',
        'facts' => ['drive.encryption' => 'none', 'card.length_mm' => $length, 'card.slots_wide' => '2'],
    ]]);
    foreach (['abc', '-5', '285 mm', -1, '1e', true] as $wrong) {
        expect(fn () => $with($wrong))->toThrow(Cobblestone\Brief\BriefFault::class, 'is no number of 0 or more');
    }
    expect($with('310')->blockers)->toBe([])
        ->and($with('5 00')->blockers[0]->reason)->toContain('it is 500 mm long')
        ->and($with('310.5')->blockers[0]->reason)->toContain('it is 310.5 mm long')
        ->and($with('unknown')->verdict()->value)->toBe('hold');
});

it('refuses a serial without a letter or a digit, and a version without a digit', function (
    string $fact,
    string $word,
) {
    $facts = [...Demo::brief('firmware-update')['machine']['facts'], $fact => $word];
    expect(fn () => Demo::plan('firmware-update', ['machine' => ['facts' => $facts]]))
        ->toThrow(BriefFault::class, 'Copy it as it stands.');
})->with([
    ['machine.serial', '????'],
    ['board.serial', '-'],
    ['target.serial', '...'],
    ['swap.serial', '/'],
    ['firmware.version', 'one point something'],
    ['present.build', 'newest'],
    ['running.build', '?'],
]);
