<?php

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Loader;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\Seal;
use Cobblestone\Boot\Medium\Volume;
use Cobblestone\Boot\Model\BootDevice;
use Cobblestone\Boot\Model\BootEntry;
use Cobblestone\Boot\Model\BootModel;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Possibilities;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Media\Inspection\LoaderTrust;
use Random\Engine\Mt19937;
use Random\Randomizer;

pest()->group('slow');

/** One of the values, by chance. */
function oneOf(Randomizer $chance, array $values): mixed
{
    return $values[$chance->getInt(0, count($values) - 1)];
}

function anyMedium(Randomizer $chance): Medium
{
    $loaders = [];
    for ($i = $chance->getInt(0, 3); $i > 0; $i--) {
        $loaders[] = new Loader(oneOf($chance, ['EFI/BOOT/BOOTX64.EFI', 'EFI/BOOT/BOOTAA64.EFI', 'EFI/present/loader.efi']), oneOf($chance, ['x86-64', 'arm-64', null]), oneOf($chance, [null, null, null, 'no program']),
            oneOf($chance, [true, false, null]), oneOf($chance, ['platform', 'third-party', null]), oneOf($chance, [null, null, ...LoaderTrust::cases()]), '', oneOf($chance, [null, null, 'next missing']), oneOf($chance, [null, null, 'next unsigned']));
    }
    $seal = oneOf($chance, [null, null, new Seal(oneOf($chance, Protection::cases()), oneOf($chance, Binding::cases()), ['secure boot' => oneOf($chance, ['in force', 'not in force']), 'board' => 'x'], $chance->getInt(0, 2))]);

    return new Medium(oneOf($chance, Leads::cases()), 'a table', oneOf($chance, [null, null, null, 'no table']), [new Volume('Partition 1', oneOf($chance, [true, true, false]), $loaders, oneOf($chance, ['present', 'new', null]))], oneOf($chance, LegacyCode::cases()), $seal, oneOf($chance, [[], ['plain'], ['plain', 'array']]), oneOf($chance, [true, false]));
}

/** Any machine at all, with unknowns where $unknowns says so. */
function anyState(Randomizer $chance, bool $unknowns): BootState
{
    $facts = [];
    foreach (FactRegistry::values() as $name => $values) {
        $value = oneOf($chance, [...$values, ...($unknowns ? [null] : [])]);
        if (in_array($name, ['firmware.kind', 'architecture', 'firmware.boot_mode', 'firmware.secure_boot', 'loader.signature', 'legacy.code'], true) || $chance->getInt(0, 1) === 1) {
            $facts[$name] = $value;
        }
    }
    if ($chance->getInt(0, 9) === 0) {
        $facts['firmware.kind'] = 'sealed';
        $facts['recovery.held'] = oneOf($chance, ['yes', 'no']);
    }
    $devices = [new BootDevice('stick', 'Stick', BootDevice::STICK, anyMedium($chance), oneOf($chance, [true, true, false]), oneOf($chance, [true, true, false])), new BootDevice('drive', 'Drive', BootDevice::DRIVE, anyMedium($chance))];
    $entries = oneOf($chance, [[], [new BootEntry('present', 'Line', 'drive', 'present', 'EFI/present/loader.efi')], [new BootEntry('lost', 'Line', 'nowhere')]]);
    $order = $chance->shuffleArray(['stick', 'drive', ...array_map(fn (BootEntry $entry): string => $entry->id, $entries)]);

    return new BootState($facts, oneOf($chance, [[], ['firmware.boot_mode', 'firmware.secure_boot']]), ['platform'], $devices, $entries, $order, oneOf($chance, [null, 'stick', 'drive', 'nothing']));
}

it('gives every state exactly one end, the same each time', function () {
    $chance = new Randomizer(new Mt19937(20261125));
    $seen = [];
    for ($i = 0; $i < 4000; $i++) {
        $state = anyState($chance, false);
        $prediction = BootModel::start($state);
        $seen[$prediction->outcome->value] = true;
        expect(BootModel::start(BootState::fromArray(json_decode(json_encode($state->toArray()), true))))->toEqual($prediction)
            ->and($prediction->stones)->not->toBe([])
            ->and(count(array_filter($prediction->stones, fn ($stone) => ! $stone->holds)))->toBeLessThanOrEqual(1);
        $missing = $prediction->missing();
        // What does not hold is the last stone: nothing is tried behind it.
        expect($missing === null || $missing === $prediction->stones[count($prediction->stones) - 1])->toBeTrue()
            ->and($missing === null)->toBe(in_array($prediction->outcome, [Outcome::InstallerStarts, Outcome::WantedSystemStarts, Outcome::OldSystemStarts, Outcome::RecoveryStarts], true));
    }
    expect(count($seen))->toBeGreaterThanOrEqual(12);
});

it('finds every way while facts are unknown, and few of them', function () {
    $chance = new Randomizer(new Mt19937(7));
    for ($i = 0; $i < 1500; $i++) {
        $possible = Possibilities::of(anyState($chance, true));
        expect(count($possible->ways))->toBeBetween(1, 200)
            ->and($possible->settledBy() === null)->toBe(count($possible->outcomes()) < 2);
        foreach ($possible->ways as $way) {
            expect(array_intersect_key(FactRegistry::values(), $way['given']))->toHaveCount(count($way['given']));
        }
    }
});

it('never refuses more with Secure Boot off', function () {
    $chance = new Randomizer(new Mt19937(99));
    $mended = 0;
    for ($i = 0; $i < 4000; $i++) {
        $state = anyState($chance, false)->knowing(['firmware.secure_boot' => 'on', 'firmware.kind' => 'uefi', 'firmware.boot_mode' => 'uefi', 'firmware.usb_start' => 'on', 'firmware.older_devices' => 'off', 'firmware.key_mode' => 'factory']);
        $off = BootModel::start($state->knowing(['firmware.secure_boot' => 'off']));
        expect($off->outcome)->not->toBe(Outcome::RefusedBySecureBoot)
            ->and(array_column($off->passed, 'outcome'))->not->toContain('refused-by-secure-boot');
        $mended += BootModel::start($state)->outcome === Outcome::RefusedBySecureBoot ? 1 : 0;
    }
    expect($mended)->toBeGreaterThan(50);
});

it('is not changed by a device that comes after the one that starts', function () {
    $chance = new Randomizer(new Mt19937(4));
    $counted = 0;
    for ($i = 0; $i < 3000; $i++) {
        $state = anyState($chance, false);
        $alone = BootModel::start($state);
        if ($alone->outcome->distance() > 0 || ($state->facts['firmware.kind'] ?? '') === 'sealed') {
            continue;
        }
        $more = $state->withDevice(new BootDevice('further', 'Further', oneOf($chance, ['stick', 'drive']), anyMedium($chance)));
        $with = BootModel::start($more);
        expect([$with->outcome, $with->device, $with->stones])->toEqual([$alone->outcome, $alone->device, $alone->stones]);
        $counted++;
    }
    expect($counted)->toBeGreaterThan(200);
});

it('enforces exactly where Secure Boot is in force', function () {
    $chance = new Randomizer(new Mt19937(31));
    $seen = ['yes' => 0, 'no' => 0];
    for ($i = 0; $i < 3000; $i++) {
        $state = anyState($chance, false)->knowing(['firmware.kind' => 'uefi', 'firmware.usb_start' => 'on']);
        $bare = new BootState($state->facts, [], ['platform'], [new BootDevice('stick', 'Stick', BootDevice::STICK, new Medium(Leads::Installer, 'a table', null, [new Volume('Partition 1', true, [new Loader(Cobblestone\Media\Inspection\FoundLoader::defaultPath((string) $state->facts['architecture']), null, signed: false)])], LegacyCode::Starts))], [], ['stick']);
        if ($state->facts['firmware.boot_mode'] === 'legacy') {
            continue;
        }
        $force = Cobblestone\Machine\SecureBootState::fromValues($bare->facts)->inForce;
        expect(BootModel::start($bare)->outcome === Outcome::RefusedBySecureBoot)->toBe($force === true);
        $seen[$force ? 'yes' : 'no']++;
    }
    expect(min($seen))->toBeGreaterThan(100);
});
