<?php

use Cobblestone\Boot\Emulated\EmulatedAs;
use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Document\Fields;
use Tests\Support\Demo;

it('takes the firmware and the keys that come nearest to a machine as it is set', function (
    array $facts,
    ?string $firmware,
    array $trusts,
) {
    $as = EmulatedAs::of([
        'architecture' => 'x86-64', 'firmware.kind' => 'uefi', 'firmware.boot_mode' => 'uefi',
        'firmware.secure_boot' => 'on', 'firmware.third_party_signer' => 'refused', ...$facts,
    ], ['platform'], ['third-party' => 'third_party_signer']);
    expect($as?->firmware->value)->toBe($firmware)->and($as->trusts ?? [])->toBe($trusts);
})->with([
    'as it is' => [[], 'uefi-secure', ['platform']],
    'the other signers are trusted too' => [
        ['firmware.third_party_signer' => 'trusted'], 'uefi-secure', ['platform', 'third-party'],
    ],
    'Secure Boot off' => [['firmware.secure_boot' => 'off'], 'uefi', []],
    'set, and not in force' => [['firmware.key_mode' => 'setup'], 'uefi', []],
    'the old way' => [['firmware.boot_mode' => 'legacy'], 'bios', []],
    'old firmware' => [['firmware.kind' => 'bios'], 'bios', []],
    'both at once' => [['firmware.boot_mode' => 'both'], null, []],
    'nobody has looked' => [['firmware.secure_boot' => null], null, []],
    'another processor' => [['architecture' => 'arm-64'], null, []],
    'no processor known' => [['architecture' => null], null, []],
    'sealed' => [['firmware.kind' => 'sealed'], null, []],
]);

it('stands beside every start from the stick, and beside no other', function () {
    $starts = Demo::plan('pocket-lantern')->assessment->all()['rehearsal'];
    $as = array_column(array_filter($starts, fn (array $one): bool => $one['as'] !== null), 'as', 'wants');
    expect(array_keys($as))->toBe(['installer'])
        ->and(EmulatedAs::read(Fields::of($as['installer']))->toArray())->toBe($as['installer'])
        ->and(EmulatedAs::read(Fields::of($as['installer']))->firmware)->toBe(EmulatedFirmware::Uefi);
});
