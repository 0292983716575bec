<?php

use Cobblestone\Boot\Keys\TrustedSigners;
use Cobblestone\Boot\KindTable;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Possibilities;
use Cobblestone\Boot\StickStart;
use Tests\Support\BootBench as Bench;

$unsigned = fn () => Bench::medium(loaders: [Bench::loader(['signed' => false])]);

it('gives the set of ends and the fact that settles it', function () use ($unsigned) {
    $possible = Possibilities::of(Bench::state(['firmware.secure_boot' => null], [Bench::stick($unsigned())]));
    expect($possible->outcomes())
        ->toBe([Outcome::RefusedBySecureBoot, Outcome::InstallerStarts])
        ->and($possible->settledBy())
        ->toBe('firmware.secure_boot')
        ->and($possible->likeliest()->outcome)
        ->toBe(Outcome::RefusedBySecureBoot);
});

it('names the fact that decides, not one that happens to be asked before', function () {
    // The boot mode is asked first, but either value leads to the same end; the signature decides.
    $medium = Bench::medium(loaders: [Bench::loader(['signed' => null])], legacy: LegacyCode::NoMark);
    $possible = Possibilities::of(
        Bench::state(['firmware.usb_start' => 'on', 'firmware.key_mode' => null], [Bench::stick($medium)]),
    );
    expect($possible->settledBy())
        ->not->toBeNull()
        ->and($possible->outcomes())
        ->toContain(Outcome::InstallerStarts, Outcome::RefusedBySecureBoot);
    $fixed = Possibilities::of(Bench::state([], [Bench::stick($medium)]));
    expect($fixed->settledBy())->toBe('loader.signature');
});

it('says what comes of it if something assumed is not so', function () use ($unsigned) {
    $possible = Possibilities::of(
        Bench::state(
            ['firmware.secure_boot' => 'off'],
            [Bench::stick($unsigned())],
            assumed: ['firmware.secure_boot', 'firmware.version'],
        ),
    );
    expect(array_map(fn ($one) => [$one['fact'], $one['value'], $one['prediction']->outcome], $possible->otherwise))
        ->toBe([['firmware.secure_boot', 'on', Outcome::RefusedBySecureBoot]])
        ->and(Possibilities::of(Bench::state(assumed: ['firmware.secure_boot']))->otherwise)
        ->toBe([]);
});

it('writes a stick\'s start with its chain, cause and way out', function () use ($unsigned) {
    $found = StickStart::toArray(
        StickStart::predict($unsigned(), [...StickStart::KINDS['uefi-secure'], 'architecture' => 'x86-64']),
    );
    expect($found['outcome'])
        ->toBe('refused-secure-boot')
        ->and($found['ends_in'])
        ->toBe('refused-by-secure-boot')
        ->and($found['ground'])
        ->toBe('standard')
        ->and(array_column($found['chain'], 'holds', 'name'))
        ->toBe([
            'power' => true,
            'firmware' => true,
            'choice' => true,
            'device' => true,
            'table' => true,
            'volume' => true,
            'loader' => true,
            'signature' => false,
        ])
        ->and($found['fix'])
        ->toContain('signed loader')
        ->and($found['who'])
        ->toBe('technician')
        ->and($found['possible'])
        ->toBe(['refused-secure-boot'])
        ->and($found['settled_by'])
        ->toBeNull();
    $good = StickStart::toArray(
        StickStart::predict(Bench::medium(), [...StickStart::KINDS['uefi'], 'architecture' => 'x86-64']),
    );
    expect($good['fix'])->toBe('')->and($good['who'])->toBeNull()->and($good['cause'])->toBe('');
});

it('tables a stick for any machine by kind of firmware', function () {
    $signers = new TrustedSigners(['platform'], ['harbour' => 'third_party_signer']);
    $rows = KindTable::of(Bench::medium(loaders: [Bench::loader(['signer' => 'harbour'])]), 'x86-64', $signers);
    expect(array_column($rows, 'starts', 'kind'))
        ->toBe(['uefi' => true, 'uefi-secure' => false, 'bios' => false])
        ->and($rows[1]->words)
        ->toBe('the installer starts, or refused by Secure Boot')
        ->and($rows[1]->because)
        ->toBe('It depends on whether the machine trusts the loader\'s signer.')
        ->and($rows[2]->words)
        ->toBe('handed over, then silent')
        ->and($rows[2]->because)
        ->toContain('zeros')
        ->and($rows[0]->because)
        ->not->toBe('');
    expect(KindTable::of(Bench::medium(), 'arm-64', $signers)[0]->words)->toBe('wrong architecture');
});
