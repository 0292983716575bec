<?php

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\Seal;
use Cobblestone\Boot\Model\BootEntry;
use Cobblestone\Boot\Model\BootModel;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Measurement;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Model\Stone;
use Cobblestone\Boot\Model\Undetermined;
use Tests\Support\BootBench as Bench;
use Tests\Support\BootEnd;

it('ends as the rules say', function (string $case) {
    [$state, $outcome, $missing, $ground] = BootEnd::everyOne()[$case]();
    $prediction = BootModel::start($state);
    expect($prediction->outcome)
        ->toBe($outcome)
        ->and($prediction->missing()?->name)
        ->toBe($missing)
        ->and($prediction->ground)
        ->toBe($ground);
})->with(array_keys(BootEnd::everyOne()));

it('goes on to the next line where one fails, and says what it left', function () {
    $refused = Bench::stick(Bench::medium(loaders: [Bench::loader(['signed' => false])]));
    $prediction = BootModel::start(Bench::state(devices: [$refused, Bench::drive(Bench::medium(Leads::OldSystem))]));
    expect($prediction->outcome)
        ->toBe(Outcome::OldSystemStarts)
        ->and($prediction->device)
        ->toBe('drive')
        ->and(array_column($prediction->passed, 'outcome'))
        ->toBe([Outcome::RefusedBySecureBoot])
        ->and($prediction->cause())
        ->toContain('Secure Boot is in force')
        ->and($prediction->blamed())
        ->toBe(Outcome::RefusedBySecureBoot)
        ->and(BootModel::start(Bench::state(devices: [$refused, Bench::drive()], chosen: 'stick'))->outcome)
        ->toBe(Outcome::RefusedBySecureBoot);
});

it('blames what came farthest where nothing starts', function () {
    $prediction = BootModel::start(
        Bench::state(
            devices: [
                Bench::stick(attached: false),
                Bench::drive(Bench::medium(loaders: [Bench::loader(['signed' => false])])),
            ],
        ),
    );
    expect($prediction->outcome)
        ->toBe(Outcome::RefusedBySecureBoot)
        ->and($prediction->device)
        ->toBe('drive')
        ->and(count($prediction->passed))
        ->toBe(1);
});

it('takes an entry by the GUID of its partition, dead once that is gone', function () {
    $entry = new BootEntry('old', 'Old line', 'drive', 'abc', 'EFI/old/loader.efi');
    $with = Bench::drive(
        Bench::medium(Leads::WantedSystem, [Bench::loader(['path' => 'EFI/old/loader.efi'])], guid: 'abc'),
    );
    $prediction = BootModel::start(Bench::state(devices: [$with], entries: [$entry], order: ['old']));
    expect($prediction->outcome)->toBe(Outcome::WantedSystemStarts);
    $gone = Bench::drive(Bench::medium(Leads::WantedSystem, guid: 'other'));
    $prediction = BootModel::start(Bench::state(devices: [$gone], entries: [$entry], order: ['old', 'drive']));
    expect($prediction->outcome)
        ->toBe(Outcome::WantedSystemStarts)
        ->and($prediction->passed[0]->words)
        ->toContain('abc')
        ->toContain('dead')
        ->and(
            BootModel::start(
                Bench::state(['firmware.boot_mode' => 'both'], devices: [$gone], entries: [$entry], order: ['old']),
            )->missing()?->name,
        )
        ->toBe('volume');
});

it('asks for the recovery key exactly when what the volume is bound to has changed', function (
    Binding $binding,
    array $changed,
    bool $asks,
) {
    $state = Bench::state(
        ['firmware.version' => '1', 'firmware.security_chip' => 'on', 'machine.cards' => 'one'],
        [Bench::drive()],
    );
    $seal = new Seal(Protection::Chip, $binding, Measurement::of($state));
    $sealed = $state->withDevice(Bench::drive(Bench::medium(Leads::WantedSystem, seal: $seal)))->knowing($changed);
    expect(BootModel::start($sealed)->outcome)->toBe(
        $asks ? Outcome::RecoveryKeyPrompt : Outcome::WantedSystemStarts,
    );
    $suspended = $sealed->withDevice(Bench::drive(Bench::medium(Leads::WantedSystem, seal: $seal->suspendedFor(1))));
    expect(BootModel::start($suspended)->outcome)->toBe(Outcome::WantedSystemStarts);
})->with([
    'nothing' => [Binding::Measured, [], false],
    'Secure Boot, bound to it' => [Binding::Keys, ['firmware.secure_boot' => 'off'], true],
    'key mode' => [Binding::Keys, ['firmware.key_mode' => 'setup'], true],
    'signers' => [Binding::Keys, ['firmware.third_party_signer' => 'trusted'], true],
    'version, bound to Secure Boot only' => [Binding::Keys, ['firmware.version' => '2'], false],
    'version, bound to more' => [Binding::Measured, ['firmware.version' => '2'], true],
    'version, binding unknown' => [Binding::Unknown, ['firmware.version' => '2'], true],
    'card, bound to more' => [Binding::Measured, ['machine.cards' => 'two'], true],
    'card, bound to Secure Boot only' => [Binding::Keys, ['machine.cards' => 'two'], false],
    'chip, whatever' => [Binding::Keys, ['firmware.security_chip' => 'off'], true],
    'board, whatever' => [Binding::Keys, ['board.serial' => 'new'], true],
    'revocations' => [Binding::Keys, ['firmware.revocations' => 'new'], true],
    'loader' => [Binding::Measured, ['system.loader' => 'new'], true],
]);

it('does not ask where the passphrase or the clear key opens the volume', function (Protection $protection) {
    expect((new Seal($protection, Binding::Measured, ['board' => 'x']))->broken(['board' => 'y']))->toBe([]);
})->with([Protection::None, Protection::KeyInClear, Protection::Passphrase]);

it('counts suspended starts down and binds anew', function () {
    $seal = new Seal(Protection::Chip, Binding::Measured, ['board' => 'x'], 2);
    expect($seal->started()->suspended)
        ->toBe(1)
        ->and($seal->started()->started()->suspended)
        ->toBe(0)
        ->and($seal->started()->started()->started()->suspended)
        ->toBe(0)
        ->and(
            $seal
                ->started()
                ->started()
                ->broken(['board' => 'y']),
        )
        ->toBe(['board'])
        ->and($seal->resumed(['board' => 'y'])->broken(['board' => 'y']))
        ->toBe([])
        ->and(Seal::fromArray($seal->toArray()))
        ->toEqual($seal);
});

it('names the first unknown fact that decides something, and only those', function (array $unknown, ?string $asks) {
    $state = Bench::state($unknown);
    if ($asks === null) {
        expect(BootModel::start($state)->outcome)->toBe(Outcome::InstallerStarts);
    } else {
        expect(fn () => BootModel::start($state))->toThrow(Undetermined::class, "{$asks} is not known");
    }
})->with([
    [['firmware.kind' => null], 'firmware.kind'],
    [['firmware.boot_mode' => null], 'firmware.boot_mode'],
    [['architecture' => null], 'architecture'],
    [['firmware.secure_boot' => null], 'firmware.secure_boot'],
    [['firmware.key_mode' => null], 'firmware.key_mode'],
    [['firmware.usb_start' => null], 'firmware.usb_start'],
    [['firmware.secure_boot' => 'off', 'firmware.key_mode' => null], null],
    [['firmware.controller_mode' => null], null],
    [['firmware.version' => null], null],
]);

it('keeps a state through JSON', function () {
    $state = Bench::state(
        ['firmware.version' => null],
        [
            Bench::stick(),
            Bench::drive(Bench::medium(seal: new Seal(Protection::Chip, Binding::Keys, ['board' => 'x']))),
        ],
        [new BootEntry('a', 'b', 'drive', 'c', 'd')],
        chosen: 'stick',
        assumed: ['architecture'],
    );
    expect(BootState::fromArray(json_decode(json_encode($state->toArray()), true)))
        ->toEqual($state)
        ->and(array_unique(Stone::NAMES))
        ->toBe(Stone::NAMES);
});

it('has words for every end', function (Outcome $outcome) {
    expect($outcome->title())
        ->not->toBe('')
        ->and($outcome->seen())
        ->toEndWith('.')
        ->and(Outcome::OF_A_STICK)
        ->toContain($outcome->ofAStick())
        ->and($outcome->distance())
        ->toBeBetween(0, 7);
})->with(Outcome::cases());
