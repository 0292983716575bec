<?php

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Boot\Ground;
use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\Seal;
use Cobblestone\Boot\Model\BootEntry;
use Cobblestone\Boot\Model\BootModel;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Measurement;
use Cobblestone\Boot\Model\Stone;
use Cobblestone\Boot\Model\Undetermined;
use Cobblestone\Boot\Outcome;
use Cobblestone\Media\Inspection\LoaderTrust;
use Tests\Support\BootBench as Bench;

it('ends as the rules say', function (BootState $state, Outcome $outcome, ?string $missing, Ground $ground) {
    $prediction = BootModel::start($state);
    expect($prediction->outcome)->toBe($outcome)
        ->and($prediction->missing()?->name)->toBe($missing)
        ->and($prediction->ground)->toBe($ground);
})->with([
    'signed, trusted' => fn () => [Bench::state(), Outcome::InstallerStarts, null, Ground::Standard],
    'unsigned, enforced' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(loaders: [Bench::loader(['signed' => false, 'signer' => null])]))]), Outcome::RefusedBySecureBoot, 'signature', Ground::Standard],
    'unsigned, off' => fn () => [Bench::state(['firmware.secure_boot' => 'off'], [Bench::stick(Bench::medium(loaders: [Bench::loader(['signed' => false, 'signer' => null])]))]), Outcome::InstallerStarts, null, Ground::Standard],
    'set but in setup mode' => fn () => [Bench::state(['firmware.key_mode' => 'setup'], [Bench::stick(Bench::medium(loaders: [Bench::loader(['signed' => false])]))]), Outcome::InstallerStarts, null, Ground::Standard],
    'set but older devices allowed' => fn () => [Bench::state(['firmware.older_devices' => 'allowed'], [Bench::stick(Bench::medium(loaders: [Bench::loader(['signed' => false])]))]), Outcome::InstallerStarts, null, Ground::Standard],
    'set but both ways' => fn () => [Bench::state(['firmware.boot_mode' => 'both'], [Bench::stick(Bench::medium(loaders: [Bench::loader(['signed' => false])]))]), Outcome::InstallerStarts, null, Ground::Standard],
    'third-party, not trusted' => fn () => [Bench::state(['firmware.third_party_signer' => 'not trusted'], [Bench::stick(Bench::medium(loaders: [Bench::loader(['signer' => 'third-party'])]))]), Outcome::RefusedBySecureBoot, 'signature', Ground::Standard],
    'third-party, no switch' => fn () => [Bench::state([], [Bench::stick(Bench::medium(loaders: [Bench::loader(['signer' => 'third-party'])]))]), Outcome::RefusedBySecureBoot, 'signature', Ground::Standard],
    'third-party, trusted' => fn () => [Bench::state(['firmware.third_party_signer' => 'trusted'], [Bench::stick(Bench::medium(loaders: [Bench::loader(['signer' => 'third-party'])]))]), Outcome::InstallerStarts, null, Ground::Standard],
    'altered' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(loaders: [Bench::loader(['judged' => LoaderTrust::Altered])]))]), Outcome::RefusedBySecureBoot, 'signature', Ground::Standard],
    'revoked' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(loaders: [Bench::loader(['judged' => LoaderTrust::Revoked])]))]), Outcome::RefusedBySecureBoot, 'signature', Ground::Standard],
    'first trusted, next refused' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(loaders: [Bench::loader(['nextRefused' => 'unsigned next'])]))]), Outcome::LoaderStopped, 'next stage', Ground::Emulation],
    'next refused, but not enforced' => fn () => [Bench::state(['firmware.secure_boot' => 'off'], [Bench::stick(Bench::medium(loaders: [Bench::loader(['nextRefused' => 'unsigned next'])]))]), Outcome::InstallerStarts, null, Ground::Standard],
    'next missing' => fn () => [Bench::state(['firmware.secure_boot' => 'off'], [Bench::stick(Bench::medium(loaders: [Bench::loader(['nextFault' => 'no next'])]))]), Outcome::LoaderStopped, 'next stage', Ground::Emulation],
    'no program' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(loaders: [Bench::loader(['fault' => 'no program'])]))]), Outcome::LoaderMissing, 'program', Ground::Standard],
    'only for another processor' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(loaders: [Bench::loader(['path' => 'EFI/BOOT/BOOTAA64.EFI', 'architecture' => 'arm-64'])]))]), Outcome::WrongArchitecture, 'loader', Ground::Standard],
    'another processor under our name' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(loaders: [Bench::loader(['architecture' => 'arm-64'])]))]), Outcome::WrongArchitecture, 'program', Ground::Standard],
    'another processor, and unsigned' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(loaders: [Bench::loader(['architecture' => 'arm-64', 'signed' => false])]))]), Outcome::RefusedBySecureBoot, 'signature', Ground::Standard],
    'no loader' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(loaders: []))]), Outcome::LoaderMissing, 'loader', Ground::Standard],
    'no FAT' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(fat: false))]), Outcome::LoaderMissing, 'volume', Ground::Standard],
    'no table' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(fault: 'no table at all'))]), Outcome::LoaderMissing, 'table', Ground::Standard],
    'not plugged in' => fn () => [Bench::state(devices: [Bench::stick(attached: false)]), Outcome::NoBootableDevice, 'device', Ground::Standard],
    'cannot be read' => fn () => [Bench::state(devices: [Bench::stick(readable: false)]), Outcome::StickUnreadable, 'device', Ground::Standard],
    'USB start off' => fn () => [Bench::state(['firmware.usb_start' => 'off']), Outcome::NoBootableDevice, 'device', Ground::Standard],
    'nothing in the list' => fn () => [Bench::state(devices: []), Outcome::NoBootableDevice, 'choice', Ground::Standard],
    'old way, code' => fn () => [Bench::state(['firmware.kind' => 'bios'], [Bench::stick(Bench::medium(legacy: LegacyCode::Starts))]), Outcome::InstallerStarts, null, Ground::Standard],
    'old way, zeros' => fn () => [Bench::state(['firmware.kind' => 'bios']), Outcome::Silent, 'boot sector', Ground::Emulation],
    'old way, a message' => fn () => [Bench::state(['firmware.boot_mode' => 'legacy'], [Bench::stick(Bench::medium(legacy: LegacyCode::Stops))]), Outcome::LoaderStopped, 'boot sector', Ground::Emulation],
    'old way, no mark' => fn () => [Bench::state(['firmware.boot_mode' => 'legacy'], [Bench::stick(Bench::medium(legacy: LegacyCode::NoMark))]), Outcome::NoBootableDevice, 'boot sector', Ground::Standard],
    'old way, gives back' => fn () => [Bench::state(['firmware.boot_mode' => 'legacy'], [Bench::stick(Bench::medium(legacy: LegacyCode::Returns))]), Outcome::NoBootableDevice, 'boot sector', Ground::Emulation],
    'both ways: falls back to the old one' => fn () => [Bench::state(['firmware.boot_mode' => 'both'], [Bench::stick(Bench::medium(fat: false, legacy: LegacyCode::Starts))]), Outcome::InstallerStarts, null, Ground::Standard],
    'both ways, neither works' => fn () => [Bench::state(['firmware.boot_mode' => 'both'], [Bench::stick(Bench::medium(fat: false, legacy: LegacyCode::NoMark))]), Outcome::LoaderMissing, 'volume', Ground::Standard],
    'blind installer' => fn () => [Bench::state(['firmware.controller_mode' => 'array'], [Bench::stick(Bench::medium(modes: ['plain']))]), Outcome::InstallerSeesNoDrive, 'drives', Ground::Catalogue],
    'seeing installer' => fn () => [Bench::state(['firmware.controller_mode' => 'plain'], [Bench::stick(Bench::medium(modes: ['plain']))]), Outcome::InstallerStarts, null, Ground::Standard],
    'a system that loses its drive' => fn () => [Bench::state(['firmware.controller_mode' => 'array'], [Bench::drive(Bench::medium(Leads::OldSystem, modes: ['plain']))]), Outcome::Silent, 'drives', Ground::Catalogue],
    'a loader to nowhere' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(Leads::Nowhere))]), Outcome::Silent, 'system', Ground::Emulation],
    'recovery' => fn () => [Bench::state(devices: [Bench::stick(Bench::medium(Leads::Recovery))]), Outcome::RecoveryStarts, null, Ground::Standard],
    'by an optical catalogue' => fn () => [Bench::state(devices: [Bench::stick(new Medium(Leads::Installer, 'x', null, Bench::medium()->volumes, LegacyCode::NoMark, byOptical: true))]), Outcome::InstallerStarts, null, Ground::Emulation],
    'sealed, its own system' => fn () => [Bench::state(['firmware.kind' => 'sealed'], [Bench::drive()]), Outcome::WantedSystemStarts, null, Ground::Catalogue],
    'sealed, held' => fn () => [Bench::state(['firmware.kind' => 'sealed', 'recovery.held' => 'yes'], [Bench::drive()]), Outcome::RecoveryStarts, null, Ground::Catalogue],
    'sealed, empty' => fn () => [Bench::state(['firmware.kind' => 'sealed'], []), Outcome::NoBootableDevice, 'device', Ground::Catalogue],
]);

it('goes on to the next line where one fails, and says what it left', function () {
    $refused = Bench::stick(Bench::medium(loaders: [Bench::loader(['signed' => false])]));
    $prediction = BootModel::start(Bench::state(devices: [$refused, Bench::drive(Bench::medium(Leads::OldSystem))]));
    expect($prediction->outcome)->toBe(Outcome::OldSystemStarts)
        ->and($prediction->device)->toBe('drive')
        ->and(array_column($prediction->passed, 'outcome'))->toBe(['refused-by-secure-boot'])
        ->and($prediction->cause())->toContain('Secure Boot is in force')
        ->and($prediction->blamed())->toBe(Outcome::RefusedBySecureBoot)
        ->and(BootModel::start(Bench::state(devices: [$refused, Bench::drive()], chosen: 'stick'))->outcome)->toBe(Outcome::RefusedBySecureBoot);
});

it('blames what came farthest where nothing starts', function () {
    $prediction = BootModel::start(Bench::state(devices: [Bench::stick(attached: false), Bench::drive(Bench::medium(loaders: [Bench::loader(['signed' => false])]))]));
    expect($prediction->outcome)->toBe(Outcome::RefusedBySecureBoot)->and($prediction->device)->toBe('drive')->and(count($prediction->passed))->toBe(1);
});

it('takes an entry by the GUID of its partition, dead once that is gone', function () {
    $entry = new BootEntry('old', 'Old line', 'drive', 'abc', 'EFI/old/loader.efi');
    $with = Bench::drive(Bench::medium(Leads::WantedSystem, [Bench::loader(['path' => 'EFI/old/loader.efi'])], guid: 'abc'));
    $prediction = BootModel::start(Bench::state(devices: [$with], entries: [$entry], order: ['old']));
    expect($prediction->outcome)->toBe(Outcome::WantedSystemStarts);
    $gone = Bench::drive(Bench::medium(Leads::WantedSystem, guid: 'other'));
    $prediction = BootModel::start(Bench::state(devices: [$gone], entries: [$entry], order: ['old', 'drive']));
    expect($prediction->outcome)->toBe(Outcome::WantedSystemStarts)->and($prediction->passed[0]['words'])->toContain('abc')->toContain('dead')
        ->and(BootModel::start(Bench::state(['firmware.boot_mode' => 'both'], devices: [$gone], entries: [$entry], order: ['old']))->missing()?->name)->toBe('volume');
});

it('asks for the recovery key exactly when what the volume is bound to has changed', function (Binding $binding, array $changed, bool $asks) {
    $state = Bench::state(['firmware.version' => '1', 'firmware.security_chip' => 'on', 'machine.cards' => 'one'], [Bench::drive()]);
    $seal = new Seal(Protection::Chip, $binding, Measurement::of($state));
    $sealed = $state->withDevice(Bench::drive(Bench::medium(Leads::WantedSystem, seal: $seal)))->knowing($changed);
    expect(BootModel::start($sealed)->outcome)->toBe($asks ? Outcome::RecoveryKeyPrompt : Outcome::WantedSystemStarts);
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
    expect($seal->started()->suspended)->toBe(1)->and($seal->started()->started()->suspended)->toBe(0)->and($seal->started()->started()->started()->suspended)->toBe(0)
        ->and($seal->started()->started()->broken(['board' => 'y']))->toBe(['board'])
        ->and($seal->resumed(['board' => 'y'])->broken(['board' => 'y']))->toBe([])
        ->and(Seal::fromArray($seal->toArray()))->toEqual($seal);
});

it('names the first unknown fact that decides something, and only those', function (array $unknown, ?string $asks) {
    $state = Bench::state($unknown);
    if ($asks === null) {
        expect(BootModel::start($state)->outcome)->toBe(Outcome::InstallerStarts);
    } else {
        expect(fn () => BootModel::start($state))->toThrow(Undetermined::class, "{$asks} is not known");
    }
})->with([
    [['firmware.kind' => null], 'firmware.kind'], [['firmware.boot_mode' => null], 'firmware.boot_mode'], [['architecture' => null], 'architecture'],
    [['firmware.secure_boot' => null], 'firmware.secure_boot'], [['firmware.key_mode' => null], 'firmware.key_mode'], [['firmware.usb_start' => null], 'firmware.usb_start'],
    [['firmware.secure_boot' => 'off', 'firmware.key_mode' => null], null], [['firmware.controller_mode' => null], null], [['firmware.version' => null], null],
]);

it('keeps a state through JSON', function () {
    $state = Bench::state(['firmware.version' => null], [Bench::stick(), Bench::drive(Bench::medium(seal: new Seal(Protection::Chip, Binding::Keys, ['board' => 'x'])))], [new BootEntry('a', 'b', 'drive', 'c', 'd')], chosen: 'stick', assumed: ['architecture']);
    expect(BootState::fromArray(json_decode(json_encode($state->toArray()), true)))->toEqual($state)
        ->and(array_unique(Stone::NAMES))->toBe(Stone::NAMES);
});

it('has words for every end', function (Outcome $outcome) {
    expect($outcome->title())->not->toBe('')->and($outcome->seen())->toEndWith('.')->and(Outcome::OF_A_STICK)->toContain($outcome->ofAStick())->and($outcome->distance())->toBeBetween(0, 7);
})->with(Outcome::cases());
