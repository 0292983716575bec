<?php

use Cobblestone\Firmware\ChangePlan;
use Cobblestone\Firmware\Need;
use Cobblestone\Machine\Fact as MachineFact;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;

$named = fn (ChangePlan $plan) => array_map(
    fn ($change) => "{$change['setting']->id}={$change['need']->value}",
    $plan->changes,
);

it('changes only what is not known to be right', function () use ($named) {
    $settings = [setting('boot_mode', 'uefi'), setting('secure_boot', 'on')];
    $needs = [new Need('secure_boot', 'on', 'because', 'F6'), new Need('boot_mode', 'uefi', 'because', 'F2')];
    expect($named(ChangePlan::of(machineWith($settings, ['boot_mode' => 'uefi', 'secure_boot' => 'on']), $needs)))
        ->toBe([])
        ->and(ChangePlan::of(machineWith($settings, ['boot_mode' => 'uefi', 'secure_boot' => 'on']), $needs)->isEmpty())
        ->toBeTrue()
        ->and($named(ChangePlan::of(machineWith($settings, ['boot_mode' => 'both', 'secure_boot' => 'on']), $needs)))
        ->toBe(['boot_mode=uefi'])
        ->and($named(ChangePlan::of(machineWith($settings), $needs)))->toBe([])
        ->and(array_map(fn ($look) => $look->id, ChangePlan::of(machineWith($settings), $needs)->looks))
        ->toBe(['secure_boot', 'boot_mode']);
});

it('brings in what a setting requires, before it', function () use ($named) {
    $settings = [
        setting('secure_boot', 'off', ['older_devices' => 'off', 'zz_last' => 'on']),
        setting('older_devices', 'allowed', ['boot_mode' => 'uefi']),
        setting('boot_mode', 'both'),
        setting('zz_last', 'off'),
    ];
    expect($named(ChangePlan::of(machineWith($settings), [new Need('secure_boot', 'on', 'x', 'F6')])))
        ->toBe(['boot_mode=uefi', 'older_devices=off', 'zz_last=on', 'secure_boot=on']);
});

it('says was, becomes and put back for each row', function () {
    $plan = ChangePlan::of(
        machineWith(
            [setting('secure_boot', 'on'), setting('boot_mode', 'both'), setting('boot_order', 'drive')],
            ['boot_mode' => 'legacy'],
        ),
        [
            new Need('secure_boot', 'off', 'x', 'F10', stays: true, weakens: true),
            new Need('boot_mode', 'uefi', 'y', 'F2'),
            new Need('boot_order', 'stick first', 'z', 'F1', stays: false, weakens: true),
            new Need('fast_start', 'off', 'w', 'F9'),
        ],
    );
    expect($plan->rows())->toBe([
        [
            'where' => 'Page › Boot_mode',
            'was' => 'legacy',
            'becomes' => 'uefi',
            'because' => 'y',
            'put back' => 'stays',
        ],
        [
            'where' => 'Page › Secure_boot',
            'was' => 'on (assumed: look)',
            'becomes' => 'off',
            'because' => 'x',
            'put back' => 'stays, signed',
        ],
        [
            'where' => 'Page › Boot_order',
            'was' => 'drive (assumed: look)',
            'becomes' => 'stick first',
            'because' => 'z',
            'put back' => 'at the end',
        ],
        [
            'where' => 'look on every page of the setup › Fast start',
            'was' => 'look and record',
            'becomes' => 'off',
            'because' => 'w',
            'put back' => 'stays',
        ],
    ]);
});

it('makes a decision of needs that contradict each other, and leaves the setting until somebody chose', function () {
    $needs = [new Need('a', 'on', 'one', 'F2'), new Need('a', 'off', 'two', 'F2', whose: 'medium')];
    $open = ChangePlan::of(machineWith([setting('a', 'x')]), $needs);
    expect($open->changes)->toBe([])->and($open->conflicts)->toHaveCount(1)
        ->and($open->conflicts[0]->question()->options)->toBe(['on' => 'on: one', 'off' => 'off: two'])
        ->and($open->conflicts[0]->question()->holds())->toBeTrue()
        ->and($open->conflicts[0]->decision(machineWith([]))->chosen)->toBe('open: somebody has to choose')
        ->and($open->conflicts[0]->decision(machineWith([]))->facts)->toBe(['system needs on', 'medium needs off']);
    $machine = machineWith([setting('a', 'x')]);
    $chosen = new Machine(
        'Test',
        Kind::Laptop,
        $machine->facts->with(MachineFact::of('choice.a', 'off', Source::Person, 'bench lead')),
        [],
        [],
        [],
        null,
        $machine->model,
    );
    expect(array_column(ChangePlan::of($chosen, $needs)->rows(), 'becomes'))->toBe(['off'])
        ->and(ChangePlan::of($chosen, $needs)->conflicts[0]->decision($chosen)->chosen)->toBe('off')
        ->and(ChangePlan::of($chosen, $needs)->conflicts[0]->decision($chosen)->refused)->toBe(['on' => ['one']]);
});

it('takes a value that all needs accept instead of asking', function () {
    $plan = ChangePlan::of(machineWith([setting('a', 'x')]), [
        new Need('a', 'legacy', 'one', 'F2', accepts: ['both']),
        new Need('a', 'both', 'two', 'F2'),
    ]);
    expect($plan->conflicts)->toBe([])->and(array_column($plan->rows(), 'becomes'))->toBe(['both']);
});

it('names loops of settings that require each other', function () {
    expect(fn () => ChangePlan::of(
        machineWith([setting('a', 'x', ['b' => 'on']), setting('b', 'x', ['a' => 'on'])]),
        [new Need('a', 'on', 'one', 'F2')],
    ))
        ->toThrow(DomainException::class, 'loop: a → b → a');
});
