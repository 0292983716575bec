<?php

use Cobblestone\Inventory\EfibootmgrReader;
use Cobblestone\Inventory\LspciReader;
use Cobblestone\Inventory\LsusbReader;
use Cobblestone\Inventory\MokutilReader;
use Cobblestone\Inventory\SystemNoteReader;

const LONG_LINE = 'abcdefghijklmnopqrstuvwxyz0123456789+++++++++';

const FORTY_OF_IT = 'abcdefghijklmnopqrstuvwxyz0123456789++++';

it('shows forty characters of a line that no reader of lines understood', function (
    string $reader,
    string $text,
    string $note,
) {
    expect($reader::read($text)->notes)->toBe([$note]);
})->with([
    [
        LspciReader::class,
        "00:02.0 VGA [0300]: x [4f51:5500]\n".LONG_LINE."\n",
        'lspci, line 2: "'.FORTY_OF_IT.'" has no numbers in brackets; run lspci with -nn. Left out.',
    ],
    [
        LspciReader::class,
        "Slot:\t00:02.0\n ".LONG_LINE."\nClass:\tVGA [0300]\nVendor:\tx [4f51]\nDevice:\ty [5500]\n",
        'lspci, line 2: "'.FORTY_OF_IT.'" is not a tag and its value; left out.',
    ],
    [
        LsusbReader::class,
        "\n".LONG_LINE."\n",
        'lsusb, line 2: "'.FORTY_OF_IT.'" does not read "Bus … Device …: ID …"; left out.',
    ],
    [
        EfibootmgrReader::class,
        "BootCurrent: 0001\n".LONG_LINE."\n",
        'efibootmgr, line 2: "'.FORTY_OF_IT.'" was not understood; left out.',
    ],
    [
        MokutilReader::class,
        "SecureBoot enabled\n\n".LONG_LINE."\n",
        'mokutil, line 3: "'.FORTY_OF_IT.'" was not understood; left out.',
    ],
    [
        SystemNoteReader::class,
        "cobblestone-collect 1\n\n".LONG_LINE."\n",
        'system.txt, line 3: "'.FORTY_OF_IT.'" was not understood; left out.',
    ],
]);

it('names a device of lspci by its maker and model, each once', function (
    string $vendor,
    string $device,
    string $name,
) {
    $text = "Slot:\t00:02.0\nClass:\tVGA compatible controller [0300]\nVendor:\t{$vendor} [4F51]\nDevice:\t{$device} "
        ."[5500]\n";
    expect(LspciReader::read($text)->devices[0]->name)->toBe($name);
    expect(LspciReader::read($text)->devices[0]->identifier)->toBe('pci:4f51:5500');
})->with([
    ['Ostler', 'V5', 'Ostler V5'],
    ['Ostler', 'Ostler V5', 'Ostler V5'],
    ['Ostler', 'Quay [V5]', 'Ostler Quay [V5]'],
]);

it('takes who fitted a device only where both numbers are there', function (string $tags, ?string $subsystem) {
    $text = "Slot:\t00:02.0\r\nClass:\tVGA [0300]\r\nVendor:\tOstler [4f51]\r\nDevice:\tV5 [5500]\r\n{$tags}";
    expect(LspciReader::read($text)->devices[0]->subsystem)->toBe($subsystem);
})->with([
    ["SVendor:\tNorrel [4E52]\r\nSDevice:\tDevice [0013]\r\n", '4e52:0013'],
    ["SVendor:\tNorrel [4e52]\r\n", null],
    ["SDevice:\tDevice [0013]\r\n", null],
    ["SVendor:\tNorrel\r\nSDevice:\tDevice\r\n", null],
]);

it('reads the lines of lspci and passes over their details', function () {
    $reading = LspciReader::read(
        "0000:00:02.0 VGA [0300]: Ostler V5 [4F51:5500] (rev 03)\n\tSubsystem: Norrel [4e52:0013]\n\n10000:e1:00.0 "
            ."NVM [0108]: Saltmarsh [5A17:0003]\n00:00.0 Host bridge [0600]: Ostler [4f51:0001]\n01:00.7 Audio [0403]: "
            .str_repeat('n', 130)." [46e1:0a10]\n",
    );
    expect(array_map(fn ($device) => [$device->name, $device->identifier, $device->family], $reading->devices))->toBe([
        ['Ostler V5', 'pci:4f51:5500', 'graphics'],
        ['Saltmarsh', 'pci:5a17:0003', 'storage'],
        [str_repeat('n', 120), 'pci:46e1:0a10', 'audio'],
    ]);
    expect($reading->notes)->toBe([]);
});

it('guesses the family of a USB device from its name, as there is nothing else', function (
    string $name,
    string $family,
) {
    $reading = LsusbReader::read("Bus 001 Device 002: ID 5749:00AB {$name}\n");
    expect($reading->devices[0]->family)->toBe($family);
    expect($reading->devices[0]->identifier)->toBe('usb:5749:00ab');
})->with([
    ['Fennick Camera', 'camera'], ['Fennick lid cam', 'camera'], ['Camelot thing', 'other'],
    ['Wireless W2', 'network'],
    ['Ethernet E1', 'network'],
    ['WLAN', 'network'],
    ['Bluetooth', 'network'],
    ['Modem M1', 'network'],
    ['Audio A1', 'audio'], ['Sound A1', 'audio'], ['Headset', 'audio'], ['Microphone', 'audio'],
    ['Keyboard', 'input'],
    ['Mouse', 'input'],
    ['Pointer', 'input'],
    ['Touch panel', 'input'],
    ['Game pad', 'input'],
    ['Padlock', 'other'],
    ['Game controller', 'input'],
    ['Receiver', 'input'],
    ['Card reader', 'storage'],
    ['Mass Storage', 'storage'],
    ['Disk', 'storage'],
    ['Wickley Stick', 'storage'],
    ['Drive', 'storage'],
    ['4-port Hub', 'hub'], ['Fingerprint F1', 'sensor'], ['Sensor S1', 'sensor'], ['Thing', 'other'],
]);

it('reads USB lines with no name, and leaves root hubs out however they are written', function () {
    $reading = LsusbReader::read(
        "Bus 002 Device 001: ID 1D6B:0003 root\r\nBus 001 Device 009: ID 5749:0001\r\nBus 001 Device 010: ID 5749:0002 "
            .str_repeat('n', 130)."\n",
    );
    expect(array_map(fn ($device) => $device->name, $reading->devices))->toBe(['USB device', str_repeat('n', 120)]);
    expect($reading->notes)->toBe([]);
});

it('lists boot entries in their order, those outside it last, and drops an order that names none', function () {
    $text = "BootCurrent: 0002\nBootNext: 0001\nTimeout: 1 seconds\nBootOrder: 0002,000a,0009\nBoot0001  "
        ."Old\tHD(2,GPT,0f3a1c55-0000-4000-8000-00000000AAAA,0x800,0x32000)/File(\\x.efi)\nBoot0002* "
            ."Tansy\nBoot000A* Net\tPciRoot(0x0)\n";
    $reading = EfibootmgrReader::read($text);
    expect($reading->facts)->toBe([
        'boot.started_by' => 'uefi',
        'firmware.kind' => 'uefi',
        'boot.entries' => ['Tansy', 'Net', 'Old (off) · partition 2, …aaaa'],
    ]);
    expect($reading->notes)->toBe([]);
});

it('learns nothing from a boot list without entries, and that UEFI runs from an order alone', function () {
    expect(EfibootmgrReader::read("Timeout: 1 seconds\n")->facts)->toBe([]);
    expect(EfibootmgrReader::read("BootOrder: 0001\n")->facts)
        ->toBe(['boot.started_by' => 'uefi', 'firmware.kind' => 'uefi']);
    expect(EfibootmgrReader::read("EFI variables are not supported on this system.\n"))
        ->facts->toBe(['boot.started_by' => 'legacy'])
        ->notes->toBe(['efibootmgr: the system it ran on was not started by UEFI. The machine may still be able to.']);
});

it('tells what the first loader checks from what the firmware checks', function () {
    expect(MokutilReader::read("SecureBoot enabled\nSecureBoot validation is disabled in shim\n"))
        ->facts->toBe([
            'firmware.secure_boot' => 'on',
            'firmware.secure_boot_in_force' => 'on',
            'firmware.kind' => 'uefi',
        ])
        ->notes->toBe([
            'mokutil: the first loader was told not to check what it starts; the firmware still checks that loader.',
        ]);
    expect(MokutilReader::read("EFI variables are not supported on this system\n"))
        ->facts->toBe(['boot.started_by' => 'legacy'])
        ->notes->toBe(['mokutil: the system it ran on was not started by UEFI, so nothing is said about Secure Boot.']);
});

it('reads a battery\'s note within what a battery can be', function (string $note, array $facts) {
    expect(SystemNoteReader::read("cobblestone-collect 1\nbattery: {$note}\n")->facts)->toBe($facts);
})->with([
    [
        'design 52000 full 47840 mWh, charge 63 %',
        ['battery.design_wh' => 52.0, 'battery.health' => 0.92, 'battery.percent' => 63],
    ],
    ['design 52040 full 52040 mWh', ['battery.design_wh' => 52.0, 'battery.health' => 1.0]],
    ['design 100 full 999 mWh', ['battery.design_wh' => 0.1, 'battery.health' => 1.2]],
    ['design 3000 full 1000 mWh', ['battery.design_wh' => 3.0, 'battery.health' => 0.333]],
    ['charge 100 %', ['battery.percent' => 100]],
    ['charge 101 %', ['battery.percent' => 100]],
    ['charge 0 %', ['battery.percent' => 0]],
    ['none', []],
]);

it('knows the names architectures go by', function (string $said, string $architecture) {
    expect(SystemNoteReader::read("cobblestone-collect 1\narchitecture: {$said}\n")->facts)
        ->toBe(['architecture' => $architecture]);
})->with([
    ['x86_64', 'x86-64'],
    ['amd64', 'x86-64'],
    ['i386', 'x86-32'],
    ['i586', 'x86-32'],
    ['i686', 'x86-32'],
    ['aarch64', 'arm-64'],
    ['arm64', 'arm-64'],
]);

it('takes a time only as it writes one', function (string $time, ?string $at) {
    expect(SystemNoteReader::read("cobblestone-collect 1\ntime: {$time}\n")->at)->toBe($at);
})->with([
    ['2026-11-24T15:02:11Z', '2026-11-24T15:02Z'],
    ['2026-11-24T15:02Z', '2026-11-24T15:02Z'],
    ['2026-11-24T15:02', null],
    ['yesterday', null],
    ['2026-11-24T15:02Z and more', null],
]);
