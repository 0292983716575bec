<?php

use Cobblestone\Firmware\Setting;
use Cobblestone\Firmware\Snapshot;
use Tests\Support\Demo;

$settings = fn (): array => array_map(Setting::of(...), Demo::catalogue()->machine('norrel-fairlead-13')->settings());

it('reads pasted lines in the model\'s words or ours', function (string $text, array $values, array $notes) use (
    $settings,
) {
    $snapshot = Snapshot::fromText($text, $settings());
    expect($snapshot->values)->toBe($values)->and($snapshot->notes)->toBe($notes);
})->with([
    'the model\'s words' => [
        "Start mode: both\nSecure Boot = on",
        ['boot_mode' => 'both', 'secure_boot' => 'on'],
        [],
    ],
    'identifiers, case and brackets' => [
        "BOOT_MODE: [UEFI]\nsecure-boot\tOFF",
        ['boot_mode' => 'uefi', 'secure_boot' => 'off'],
        [],
    ],
    'place and title' => ['Keys › Secure Boot: on', ['secure_boot' => 'on'], []],
    'dots between' => ['Older devices ...... allowed', ['older_devices' => 'allowed'], []],
    'words for on and off' => [
        "Secure Boot: Enabled\nOlder devices: disabled",
        ['secure_boot' => 'on', 'older_devices' => 'off'],
        [],
    ],
    'comments and empty lines' => ["# read at ten\n\n  Secure Boot: on  ", ['secure_boot' => 'on'], []],
    'unknown setting' => ['Fan speed: quick', [], ['Line 1: this model has no setting "Fan speed".']],
    'unknown value' => [
        "\nStart mode: sideways",
        [],
        ['Line 2: Start mode cannot be "sideways"; it can be uefi, both, legacy.'],
    ],
    'no value' => ['hello', [], ['Line 1: "hello" is not "name: value".']],
    'said twice' => [
        "Secure Boot: on\nSecure Boot: off",
        ['secure_boot' => 'on'],
        ['Line 2: Secure Boot was "on" further up; that was kept.'],
    ],
    'markup' => [
        '<script>alert(1)</script>: on',
        [],
        ['Line 1: this model has no setting "<script>alert(1)</script>".'],
    ],
]);

it('takes what was chosen in the form, and says what it cannot be', function () use ($settings) {
    $snapshot = Snapshot::of(
        ['boot_mode' => ' UEFI ', 'secure_boot' => '', 'security_chip' => 'perhaps', 'fan' => 'quick'],
        $settings(),
    );
    expect($snapshot->values)
        ->toBe(['boot_mode' => 'uefi', 'fan' => 'quick'])
        ->and($snapshot->notes)
        ->toBe(['Security chip: "perhaps" is none of on, hidden.']);
});

it('never reads more than a setup has words', function () use ($settings) {
    $snapshot = Snapshot::fromText(str_repeat("nonsense line\n", 200_000), $settings());
    expect(count($snapshot->notes))->toBeLessThanOrEqual(400)->and($snapshot->values)->toBe([]);
});

it('says which values contradict each other', function (array $values, int $count, string $words) use ($settings) {
    $found = Snapshot::of($values, $settings())->contradictions($settings());
    expect($found)->toHaveCount($count)->and(implode(' ', $found))->toContain($words);
})->with([
    'set, not in force' => [
        ['secure_boot' => 'on', 'older_devices' => 'allowed', 'boot_mode' => 'uefi'],
        1,
        'Secure Boot is "on", but Older devices is "allowed" and would have to be "off": it is set, not in force.',
    ],
    'twice' => [
        ['secure_boot' => 'on', 'older_devices' => 'allowed', 'boot_mode' => 'both'],
        2,
        'Start mode is "both"',
    ],
    'off asks nothing' => [['secure_boot' => 'off', 'older_devices' => 'allowed'], 0, ''],
    'not looked at' => [['secure_boot' => 'on'], 0, ''],
    'all well' => [['secure_boot' => 'on', 'older_devices' => 'off', 'boot_mode' => 'uefi'], 0, ''],
]);

it('shows what differs between any two', function () {
    $first = Snapshot::of(['a' => 'x', 'b' => 'y', 'c' => 'z'], []);
    $second = Snapshot::of(['a' => 'x', 'b' => 'w', 'd' => 'v'], []);
    expect($first->difference($second))
        ->toBe([
            ['setting' => 'b', 'was' => 'y', 'is' => 'w'],
            ['setting' => 'c', 'was' => 'z', 'is' => null],
            ['setting' => 'd', 'was' => null, 'is' => 'v'],
        ])
        ->and($first->difference($first))
        ->toBe([]);
});

it('has usual settings for a model nobody has described', function () {
    foreach (Setting::USUAL as $id) {
        $setting = Setting::usual($id);
        expect($setting->title)
            ->not->toBe('')
            ->and(count($setting->values))
            ->toBeGreaterThanOrEqual(2)
            ->and($setting->id)
            ->toBe($id);
    }
    expect(Setting::usual('wake')->title)
        ->toBe('Wake')
        ->and(Setting::usual('wake')->values)
        ->toBe(['on', 'off']);
});

it('tells set from in force', function (array $facts, ?bool $inForce, string $because) {
    $sheet = Cobblestone\Machine\FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(
            Cobblestone\Machine\Fact::of("firmware.{$name}", $value, Cobblestone\Machine\Source::Person, 'x'),
        );
    }
    $state = Cobblestone\Machine\SecureBootState::of($sheet);
    expect($state->inForce)->toBe($inForce)->and($state->because)->toContain($because);
})->with([
    [[], null, 'Nobody has looked'],
    [['kind' => 'bios', 'secure_boot' => 'on'], false, 'does not know it'],
    [['secure_boot' => 'off'], false, 'It is off'],
    [['secure_boot' => 'on'], true, 'nothing that is known stands against it'],
    [['secure_boot' => 'on', 'key_mode' => 'setup'], false, 'no platform key'],
    [
        ['secure_boot' => 'on', 'key_mode' => 'custom', 'boot_mode' => 'uefi', 'older_devices' => 'off'],
        true,
        'nothing that is known stands',
    ],
    [['secure_boot' => 'on', 'older_devices' => 'allowed'], false, 'older devices'],
    [['secure_boot' => 'on', 'boot_mode' => 'both'], false, 'UEFI alone'],
    [['secure_boot' => 'on', 'boot_mode' => 'legacy'], false, 'UEFI alone'],
]);

it('reads as much of a paste as it says, and shortens what is long', function () use ($settings) {
    $long = str_repeat('x', 120);
    $snapshot = Snapshot::fromText("{$long}: on\nStart mode: {$long}", $settings());
    expect($snapshot->values)
        ->toBe([])
        ->and($snapshot->notes[0])
        ->toBe('Line 1: "'.str_repeat('x', 60).'" is not "name: value".')
        ->and($snapshot->notes[1])
        ->toBe('Line 2: "Start mode: '.str_repeat('x', 48).'" is not "name: value".')
        ->and(Snapshot::fromText('Start mode: '.str_repeat('y', 60), $settings())->notes[0])
        ->toBe('Line 1: Start mode cannot be "'.str_repeat('y', 40).'"; it can be uefi, both, legacy.')
        ->and(Snapshot::fromText(str_repeat('z', 70).': on', $settings())->notes[0])
        ->toBe('Line 1: this model has no setting "'.str_repeat('z', 60).'".')
        ->and(count(Snapshot::fromText(str_repeat("x\n", 450), $settings())->notes))
        ->toBe(400)
        ->and(Snapshot::fromText(str_repeat(' ', Snapshot::LIMIT)."\nSecure Boot: on", $settings())->values)
        ->toBe([])
        ->and(Snapshot::fromText(str_repeat(' ', Snapshot::LIMIT - 16)."\nSecure Boot: on", $settings())->values)
        ->toBe(['secure_boot' => 'on'])
        ->and(Snapshot::of(['fan' => str_repeat('q', 100)], [])->values)
        ->toBe(['fan' => str_repeat('q', 80)])
        ->and(Snapshot::of(['boot_mode' => str_repeat('q', 50)], $settings())->notes[0])
        ->toBe('Start mode: "'.str_repeat('q', 40).'" is none of uefi, both, legacy.');
    foreach (['enabled', 'Enable', 'YES', 'true', 'active', 'x'] as $word) {
        expect(Snapshot::of(['secure_boot' => $word], $settings())->values)->toBe(['secure_boot' => 'on']);
    }
    foreach (['disabled', 'Disable', 'NO', 'false', 'inactive', 'none'] as $word) {
        expect(Snapshot::of(['secure_boot' => $word], $settings())->values)->toBe(['secure_boot' => 'off']);
    }
});
