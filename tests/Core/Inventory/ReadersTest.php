<?php

use Cobblestone\Inventory\InventoryReader;

it('recognises a tool by what it prints, whatever the file is called', function (string $file, string $tool) {
    expect(InventoryReader::recognise(fixtureText($file)))->toBe($tool)
        ->and(readFixture($file)->tool)->toBe($tool)
        ->and(readFixture($file)->origin)->toBe($file);
})->with([
    ['lshw-new.json', 'lshw'],
    ['lshw-old.json', 'lshw'],
    ['lspci-records.txt', 'lspci'],
    ['lspci-lines.txt', 'lspci'],
    ['lsusb.txt', 'lsusb'],
    ['dmidecode-new.txt', 'dmidecode'],
    ['dmidecode-old.txt', 'dmidecode'],
    ['smartctl-nvme.json', 'smartctl'],
    ['smartctl-ata.json', 'smartctl'],
    ['smartctl-bridge.json', 'smartctl'],
    ['efibootmgr.txt', 'efibootmgr'],
    ['mokutil-on.txt', 'mokutil'],
    ['mokutil-setup.txt', 'mokutil'],
    ['mokutil-legacy.txt', 'efibootmgr'],
    ['devices.csv', 'device-list'],
]);

it('reads lshw, new list and old object alike', function (string $file) {
    $reading = readFixture($file);
    expect($reading->facts)->toEqual([
        'machine.maker' => 'Norrel',
        'machine.product' => 'Fairlead 13 (NF13-2)',
        'machine.serial' => 'NF13-77120453',
        'board.name' => 'NL-F13',
        'board.revision' => 'rev 2',
        'firmware.version' => '1.14',
        'firmware.date' => '03/02/2026',
        'firmware.uefi_capable' => 'yes',
        'memory_bytes' => 17179869184,
        'architecture' => 'x86-64',
        'clock_mhz' => 4300,
        'cores' => 8,
        'threads' => 16,
    ])->and($reading->notes)->toBe([]);
    expect(array_map(fn ($module) => $module->title(), $reading->modules))
        ->toBe(['Slot A, 8.0 GiB QM8-3200', 'Slot B, 8.0 GiB QM8-3200']);
})->with(['lshw-new.json', 'lshw-old.json']);

it('says which entry of lshw is no node of it', function () {
    expect(InventoryReader::read('[{"id":"a","class":"system"},{"id":"b"},7]', 'x', null)->notes)
        ->toBe([
            'lshw: entry 2 has no "id" and "class", so it is not a node of lshw; left out.',
            'lshw: entry 3 has no "id" and "class", so it is not a node of lshw; left out.',
        ]);
});

it('adds the processors of a machine with two and leaves a switched-off one out', function () {
    $cpu = fn (int $cores, bool $off) => [
        'id' => 'cpu',
        'class' => 'processor',
        'disabled' => $off,
        'configuration' => ['cores' => (string) $cores, 'threads' => (string) (2 * $cores)],
    ];
    $reading = InventoryReader::read(
        (string) json_encode([
            'id' => 'm',
            'class' => 'system',
            'children' => [$cpu(4, false), $cpu(6, false), $cpu(8, true)],
        ]),
        'x',
        null,
    );
    expect($reading->facts)->toBe(['cores' => 10, 'threads' => 20]);
});

it('reads lspci records: what wants a driver, with who fitted it', function () {
    $devices = array_map(fn ($device) => $device->toArray(), readFixture('lspci-records.txt')->devices);
    expect($devices)->toBe([
        [
            'name' => 'Ostler V5 graphics',
            'id' => 'pci:4f51:5500',
            'family' => 'graphics',
            'subsystem' => '4e52:0013',
            'identifiers' => ['pci:4f51:5500/4e52:0013#03@0300'],
        ],
        [
            'name' => 'Quarrel W2 wireless', 'id' => 'pci:51a2:0202', 'family' => 'network',
            'identifiers' => ['pci:51a2:0202#1a@0280'],
        ],
        [
            'name' => 'Ostler chipset', 'id' => 'pci:4f51:0c80', 'family' => 'chipset',
            'identifiers' => ['pci:4f51:0c80@0601'],
        ],
    ]);
});

it('reads lspci lines with and without a domain, and names the line without numbers', function () {
    $reading = readFixture('lspci-lines.txt');
    expect(array_map(fn ($device) => "{$device->identifier} {$device->family}", $reading->devices))
        ->toBe(['pci:4f51:5500 graphics', 'pci:51a2:0202 network', 'pci:5a17:0003 storage'])
        ->and($reading->notes)->toBe([
            'lspci, line 5: "00:1f.6 Ethernet controller: a line with" has no numbers in brackets; run lspci with '
                .'-nn. Left out.',
        ]);
});

it('names the record of lspci that has no numbers, by its line', function () {
    $reading = InventoryReader::read(
        "Slot:\t00:02.0\nClass:\tVGA\nVendor:\tOstler\nDevice:\tV5\n\nSlot:\t00:03.0\nClass:\tAudio device "
            ."[0403]\nVendor:\tFennick [46e1]\nDevice:\tA1 [0a10]\n??\n",
        'x',
        null,
    );
    expect($reading->devices)->toHaveCount(1)
        ->and($reading->devices[0]->family)->toBe('audio')
        ->and($reading->notes)->toBe([
            'lspci, line 1: the record names no class, vendor and device number; run lspci with -nn. Left out.',
            'lspci, line 10: "??" is not a tag and its value; left out.',
        ]);
});

it('reads lsusb without the root hubs', function () {
    $reading = readFixture('lsusb.txt');
    expect(array_map(fn ($device) => "{$device->identifier} {$device->family} {$device->name}", $reading->devices))
        ->toBe([
            'usb:5749:0001 input Wickley pad', 'usb:46e1:c0a1 camera Fennick lid camera',
            'usb:51a2:b100 other USB device',
        ])
        ->and($reading->notes)->toBe([
            'lsusb, line 5: "this line is none" does not read "Bus … Device …: ID …"; left out.',
        ]);
});

it('reads dmidecode in its newer words', function () {
    $reading = readFixture('dmidecode-new.txt');
    expect($reading->facts)->toEqual([
        'firmware.version' => '1.14',
        'firmware.date' => '03/02/2026',
        'machine.maker' => 'Norrel',
        'machine.product' => 'Fairlead 13 (NF13-2)',
        'machine.serial' => 'NF13-77120453',
        'machine.sku' => 'NF13-2-8-256',
        'board.name' => 'NL-F13',
        'board.revision' => 'rev 2',
        'cores' => 8,
        'threads' => 16,
        'clock_mhz' => 4300,
        'memory.max_bytes' => 68719476736,
        'memory.slots' => 2,
        'battery.design_wh' => 52.0,
        'security_chip.version' => '2.0',
        'memory_bytes' => 8589934592,
    ])->and($reading->notes)->toBe([]);
    expect($reading->modules[0]->toArray())->toBe([
        'slot' => 'Slot A',
        'bytes' => 8589934592,
        'type' => 'DDR4',
        'maker' => 'Quarrel',
        'part' => 'QM8-3200',
        'serial' => '0A41',
        'rated_mt_s' => 3200,
        'set_mt_s' => 2933,
    ])
        ->and($reading->modules[1]->isEmpty())->toBeTrue()->and($reading->modules[1]->title())->toBe('Slot B, empty');
});

it('reads dmidecode in its older words: megabytes, megahertz, unfilled fields, an empty socket', function () {
    $reading = readFixture('dmidecode-old.txt');
    expect($reading->facts)->toEqual([
        'machine.maker' => 'Brackwater',
        'machine.product' => 'Capstan T3',
        'cores' => 4,
        'threads' => 8,
        'clock_mhz' => 3600,
        'memory.max_bytes' => 34359738368,
        'memory.slots' => 4,
        'memory_bytes' => 8589934592,
    ])
        ->and(array_map(
            fn ($module) => [$module->slot, $module->ratedTransfers, $module->setTransfers],
            $reading->modules,
        ))
        ->toBe([['DIMM1', 1600, 1333], ['DIMM2', 1600, null]])
        ->and($reading->notes)->toBe([
            'dmidecode, line 45: memory size "plenty" was not understood; the module is left out.',
        ]);
});

it('reads the health log of an NVMe drive with the time it states', function () {
    [$health] = readFixture('smartctl-nvme.json')->health;
    expect($health->kind)->toBe('nvme')
        ->and($health->serial)->toBe('SM3-2207-88415D')
        ->and($health->figure('percentage_used'))->toBe(4)
        ->and($health->figure('media_errors'))->toBe(0)
        ->and($health->figure('nothing'))->toBeNull()
        ->and($health->passed)->toBeTrue()
        ->and($health->bytes)->toBe(256060514304)
        ->and($health->at)->toBe('2026-11-25T00:00+00:00');
});

it('reads the attributes of an ATA drive, takes the caller\'s time where it states none, and keeps what the tool '
    .'said', function () {
        $reading = readFixture('smartctl-ata.json');
        expect($reading->health[0]->figures)->toBe([5 => 8, 187 => 0, 197 => 2, 199 => 5])
            ->and($reading->health[0]->rotating)->toBeTrue()
            ->and($reading->health[0]->at)->toBe('2026-11-24T16:00Z')
            ->and($reading->notes)->toBe([
                'smartctl said: Warning: ATA error count 12 inconsistent with error log pointer 4',
            ]);
    });

it('calls a drive behind a bridge unknown, not good', function () {
    $reading = readFixture('smartctl-bridge.json');
    expect($reading->health[0]->kind)->toBe('unknown')
        ->and($reading->health[0]->passed)->toBeNull()
        ->and(implode(' ', $reading->notes))->toContain('its health is unknown, not good');
    expect(InventoryReader::read('{"smartctl":{"version":[7,3]}}', 'x', null)->notes)
        ->toBe(['smartctl: no drive is named in this output; run it as root with -a and the path of the drive.']);
});

it('reads boot entries in the order the firmware takes them', function () {
    $reading = readFixture('efibootmgr.txt');
    expect($reading->facts['boot.entries'])->toBe([
        'Tansy · partition 1, …d6ac', 'Old system · partition 1, …aaaa', 'Network start (off)',
    ])
        ->and($reading->facts['firmware.kind'])->toBe('uefi')
        ->and($reading->notes)->toBe([]);
    expect(InventoryReader::read("BootOrder: 0001\nBoot0001* A\tx\nwhat is this\n", 'x', null)->notes)
        ->toBe(['efibootmgr, line 3: "what is this" was not understood; left out.']);
});

it('tells Secure Boot in force from set, and a legacy start from no UEFI', function (string $text, array $facts) {
    expect(InventoryReader::read($text, 'x', null)->facts)->toBe($facts);
})->with([
    [
        "SecureBoot enabled\n",
        ['firmware.secure_boot' => 'on', 'firmware.secure_boot_in_force' => 'on', 'firmware.kind' => 'uefi'],
    ],
    [
        "SecureBoot disabled\nPlatform is in Setup Mode\n",
        [
            'firmware.secure_boot' => 'off',
            'firmware.secure_boot_in_force' => 'off',
            'firmware.kind' => 'uefi',
            'firmware.key_mode' => 'setup',
        ],
    ],
    ["This system doesn't support Secure Boot\n", ['firmware.secure_boot_capable' => 'no', 'firmware.kind' => 'uefi']],
    ["EFI variables are not supported on this system\n", ['boot.started_by' => 'legacy']],
]);
