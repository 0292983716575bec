<?php

use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Inventory\Reading;
use Cobblestone\Inventory\UnreadableInventory;

it('reads a device list with a byte mark, semicolons and any of the usual identifiers', function () {
    $reading = readFixture('devices.csv');
    expect(array_map(fn ($device) => $device->toArray(), $reading->devices))->toBe([
        [
            'name' => 'Quarrel W2 wireless',
            'id' => 'pci:51a2:0202',
            'family' => 'network',
            'status' => 'Error',
            'identifiers' => ['pci:51a2:0202/4e52:0013#1a'],
        ],
        [
            'name' => 'Fennick A1 sound',
            'id' => 'hdaudio:46e10a10',
            'family' => 'audio',
            'status' => 'OK',
            'driver' => '1.2.3',
        ],
        ['name' => 'Ostler C8 power device', 'id' => 'acpi:ostl0c81', 'family' => 'chipset', 'status' => 'no driver'],
    ])
        ->and($reading->notes)->toBe([
            'device list, line 5: "nameless" has no hardware identifier that can be read; left out.',
        ]);
});

it('takes from a list with drivers which devices have none', function () {
    $record = "Slot:\t00:1f.0\nClass:\tISA bridge [0601]\nVendor:\tOstler [4f51]\nDevice:\tC8 [%s]\n%s\n";
    $read = static fn (string $one, string $two): array => array_map(
        static fn ($device): ?bool => $device->isDriven(),
        InventoryReader::read(sprintf($record, '0c80', $one).sprintf($record, '0c81', $two), 'x', null)->devices,
    );
    expect($read("Driver:\tc8_chip\n", "Module:\tc8_chip\n"))->toBe([true, false])
        ->and($read('', ''))->toBe([null, null]);
});

it('reads identifiers in the kernel\'s forms too', function (string $cell, string $identifier) {
    expect(InventoryReader::read("name,id\nx,\"{$cell}\"\n", 'x', null)->devices[0]->identifier)->toBe($identifier);
})->with([
    ['pci:v00004F51d00005500sv00004E52sd00000013bc03sc00i00', 'pci:4f51:5500'],
    ['usb:v5749p0001d0100', 'usb:5749:0001'],
    ['hdaudio:v46E10A10r00100001a01', 'hdaudio:46e10a10'],
    ['acpi:OSTL0C81:', 'acpi:ostl0c81'],
    ['USB\\VID_46E1&PID_C0A1&MI_00', 'usb:46e1:c0a1+00'],
    ['ACPI\\VEN_OSTL&DEV_0C81', 'acpi:ostl0c81'],
]);

it('reads the collector\'s note', function () {
    $reading = InventoryReader::read(
        "cobblestone-collect 1\ntime: 2026-11-24T15:02:11Z\narchitecture: aarch64\nefi folder: present\nbattery: "
            ."design 52000 full 47840 mWh, charge 63 %\nmissing: lshw\nrefused: dmidecode\nodd line\n",
        'system.txt',
        null,
    );
    expect($reading->facts)->toBe([
        'architecture' => 'arm-64',
        'firmware.kind' => 'uefi',
        'boot.started_by' => 'uefi',
        'battery.design_wh' => 52.0,
        'battery.health' => 0.92,
        'battery.percent' => 63,
    ])
        ->and($reading->at)->toBe('2026-11-24T15:02Z')
        ->and($reading->notes)->toBe([
            'The collector found no lshw on that system, so nothing is known from it.',
            'The collector was not allowed to run dmidecode; start it as root for more.',
            'system.txt, line 8: "odd line" was not understood; left out.',
        ]);
    expect(InventoryReader::read(
        "cobblestone-collect 1\narchitecture: sparc\nefi folder: absent\n",
        'x',
        null,
    ))->facts->toBe(['boot.started_by' => 'legacy'])->notes->toBe([
        'The collector ran on "sparc", an architecture that is not known here.',
    ]);
});

it('refuses what no reader knows, in one sentence', function (string $text, string $sentence) {
    expect(fn () => InventoryReader::read($text, 'pasted', null))->toThrow(UnreadableInventory::class, $sentence);
})->with([
    'nothing' => ['  ', 'Nothing was pasted'],
    'prose' => ['hello bench', 'not the output of a tool'],
    'other JSON' => ['{"a":1}', 'not the output of a tool'],
    'noise' => ["\xff\xfe\x00\x01lshw", 'not readable as UTF-8'],
    'half an lshw' => ['[{"id":"a","class":"system",', 'Line 1 is not JSON'],
    'half a smartctl' => ["{\"smartctl\":{},\n\"x\":", 'Line 2 is not JSON'],
    'too much' => [str_repeat('a', 4_000_001), 'never more than 4.0 MB'],
]);

it('says the same of a reading after a round trip, and knows what it replaces', function (string $file) {
    $reading = readFixture($file);
    expect(Reading::fromArray(json_decode((string) json_encode($reading->toArray()), true))->toArray())
        ->toEqual($reading->toArray())
        ->and($reading->isEmpty())->toBeFalse();
})->with(['lshw-new.json', 'dmidecode-new.txt', 'smartctl-ata.json', 'devices.csv', 'efibootmgr.txt']);

it('keeps health readings of other drives and other times apart', function () {
    $ata = readFixture('smartctl-ata.json');
    $later = InventoryReader::read(fixtureText('smartctl-ata.json'), 'x', '2026-11-25T09:00Z');
    expect($ata->key())->not->toBe($later->key())
        ->and($ata->key())->not->toBe(readFixture('smartctl-nvme.json')->key())
        ->and(readFixture('lspci-records.txt')->key())->toBe(readFixture('lspci-lines.txt')->key());
});

it('reads what there is of truncated output and says where it stops', function () {
    $cut = InventoryReader::read(substr(fixtureText('dmidecode-new.txt'), 0, 1500), 'cut', null);
    expect($cut->facts)->toHaveKey('machine.serial')->not->toHaveKey('security_chip.version');
    $lines = InventoryReader::read(substr(fixtureText('lspci-lines.txt'), 0, 100), 'cut', null);
    expect($lines->devices)->toHaveCount(1);
    expect(fn () => InventoryReader::read(substr(fixtureText('lshw-new.json'), 0, 900), 'cut', null))
        ->toThrow(UnreadableInventory::class, 'is not JSON');
});

it('does not take a list in another language for one it knows', function () {
    expect(fn () => InventoryReader::read(
        "Gerät;Hardwarekennungen;Zustand\nNetz;PCI\\VEN_51A2&DEV_0202;gut\n",
        'x',
        null,
    ))
        ->toThrow(UnreadableInventory::class, 'not the output of a tool');
    // Numbers are the same in every language: a localised lspci is still read.
    expect(
        InventoryReader::read(
            "00:02.0 Grafikkarte [0300]: Ostler V5 [4f51:5500] (Version 03)\n",
            'x',
            null,
        )->devices[0]->identifier,
    )
        ->toBe('pci:4f51:5500');
});

it('keeps what is known of two machines apart by nothing but what they say', function () {
    $set = Cobblestone\Inventory\ReadingSet::merge([], [
        readFixture('lshw-new.json'),
        readFixture('dmidecode-new.txt'),
    ]);
    expect($set->new)->toBe(['lshw', 'dmidecode'])->and($set->readings)->toHaveCount(2);
    $again = Cobblestone\Inventory\ReadingSet::merge($set->readings, [
        readFixture('lshw-old.json'),
        InventoryReader::read("name,id\nx,nothing\n", 'x', null),
    ]);
    expect($again->new)->toBe([])->and($again->readings)->toHaveCount(2);
    $newer = Cobblestone\Inventory\ReadingSet::merge($set->readings, [readFixture('dmidecode-old.txt')]);
    expect($newer->new)->toBe(['dmidecode'])
        ->and($newer->readings)->toHaveCount(2)
        ->and($newer->readings[1]->facts['machine.maker'])->toBe('Brackwater');
});

it('keeps no more health readings than say something', function () {
    $readings = [];
    for ($day = 1; $day <= 80; $day++) {
        $readings[] = InventoryReader::read(
            str_replace('"value": 8,', '"value": '.$day.',', fixtureText('smartctl-ata.json')),
            'x',
            sprintf('2026-%02d-%02dT08:00Z', intdiv($day, 28) + 1, $day % 28 + 1),
        );
    }
    $set = Cobblestone\Inventory\ReadingSet::merge([], $readings);
    expect($set->readings)->toHaveCount(60)->and($set->readings[59]->health[0]->figure('5'))->toBe(80);
});
