<?php

use Cobblestone\Inventory\DeviceListReader;
use Cobblestone\Machine\Device;

/** @return list<Device> */
function devicesOf(string $text): array
{
    return DeviceListReader::read($text)->devices;
}

it('takes any of the separators and any of the headings', function (string $heading, string $row) {
    expect(DeviceListReader::recognises("{$heading}\n{$row}\n"))->toBeTrue();
    expect(array_map(fn (Device $device): array => $device->toArray(), devicesOf("{$heading}\n{$row}\n")))->toBe([
        ['name' => 'Fennick A1', 'id' => 'pci:46e1:0a10', 'family' => 'audio', 'status' => 'fault 28'],
    ]);
})->with([
    'comma' => ['Name,Class,Hardware IDs,Status', 'Fennick A1,Media,PCI\VEN_46E1&DEV_0A10,fault 28'],
    'semicolon' => ['device name;hardwareid;state;type', 'Fennick A1;PCI\VEN_46E1&DEV_0A10;fault 28;sound'],
    'tab' => [
        "Problem\tFriendly Name\tInstance ID\tKind",
        "fault 28\tFennick A1\tPCI\\VEN_46E1&DEV_0A10\\3&11\tAudio",
    ],
    'spaces and quotes' => [
        ' DESCRIPTION , "Identifiers" , problem,class',
        '"Fennick A1","PCI\VEN_46E1&DEV_0A10","fault 28","sound"',
    ],
    'id alone' => ['device,id,status,kind', 'Fennick A1,pci:46E1:0A10,fault 28,sound'],
    'a second column of the same kind is left aside' => [
        'name,device,id,hardware id,status,class',
        'Fennick A1,other,pci:46e1:0a10,pci:ffff:ffff,fault 28,sound',
    ],
    'a byte mark' => ["\u{FEFF}name,id,status,class", 'Fennick A1,pci:46e1:0a10,fault 28,audio'],
]);

it('is no device list without a name and an identifier', function (string $text) {
    expect(DeviceListReader::recognises($text))->toBeFalse();
})->with(['', "\n\n", 'name', 'name,status', 'id,status', 'name|id', 'the name,the id', "status,class\nname,id"]);

it('takes the lines of any system and passes over empty ones', function () {
    $reading = DeviceListReader::read("name,id\r\na,pci:1111:0001\r\n\r\n   \nb,pci:1111:0002\rc,none\n");
    expect(array_map(fn (Device $device): string => $device->name, $reading->devices))->toBe(['a', 'b']);
    expect($reading->notes)->toBe([
        'device list, line 6: "c" has no hardware identifier that can be read; left out.',
    ]);
});

it('shows forty characters of a line it could not use, by its name or else whole', function () {
    $long = implode('', range('a', 'z')).implode('', range('A', 'Z'));
    expect(DeviceListReader::read("name,id\n{$long},x\n")->notes)->toBe([
        'device list, line 2: "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMN" has no hardware identifier that can be '
            .'read; left out.',
    ]);
    expect(DeviceListReader::read("name,id\n,x\n")->notes)->toBe([
        'device list, line 2: ",x" has no hardware identifier that can be read; left out.',
    ]);
});

it('names a nameless device by its identifier', function () {
    expect(devicesOf("name,id\n,USB\\VID_5749&PID_0001\n")[0]->name)->toBe('usb:5749:0001');
    expect(devicesOf("name,id\nshort row\nx,usb:5749:0001\n"))->toHaveCount(1);
});

it('takes the family from the class, and from the name where none is given', function (
    string $class,
    string $name,
    string $family,
) {
    expect(devicesOf("name,id,class\n{$name},pci:1111:0001,{$class}\n")[0]->family)->toBe($family);
})->with([
    ['Display', 'x', 'graphics'],
    ['graphics', 'x', 'graphics'],
    ['', 'Video thing', 'graphics'],
    ['Net', 'x', 'network'],
    ['', 'Wireless W2', 'network'],
    ['', 'Bluetooth W2', 'network'],
    ['', 'Gigabit Ethernet', 'network'],
    ['MEDIA', 'x', 'audio'],
    ['', 'Sound A1', 'audio'],
    ['', 'Audio A1', 'audio'],
    ['Camera', 'x', 'camera'],
    ['Image', 'x', 'camera'],
    ['SCSIAdapter', 'x', 'storage'],
    ['hdc', 'x', 'storage'],
    ['DiskDrive', 'x', 'storage'],
    ['', 'Storage S1', 'storage'],
    ['HIDClass', 'x', 'input'],
    ['Keyboard', 'x', 'input'],
    ['Mouse', 'x', 'input'],
    ['', 'Touch panel', 'input'],
    ['', 'Input hub', 'input'],
    ['System', 'x', 'chipset'],
    ['', 'Chipset C8', 'chipset'],
    ['Biometric', 'x', 'sensor'],
    ['Sensor', 'x', 'sensor'],
    ['Ports', 'Display in name only', 'other'],
    ['', 'thing', 'other'],
]);

it('reads an identifier from among others of its cell, the most general form of it', function (
    string $cell,
    string $identifier,
) {
    expect(devicesOf("name;id\nx;\"{$cell}\"\n")[0]->identifier)->toBe($identifier);
})->with([
    ['PCI\VEN_51A2&DEV_0202&SUBSYS_00134E52&REV_1A', 'pci:51a2:0202'],
    ['pci\ven_51a2&dev_0202', 'pci:51a2:0202'],
    ['PCI\VEN_51A2&DEV_0202&CC_0280, PCI\VEN_51A2', 'pci:51a2:0202'],
    ['pci:v000051A2d00000202', 'pci:51a2:0202'],
    ['usb:5749:0001', 'usb:5749:0001'],
    ['USB\VID_5749&PID_0001&REV_0100', 'usb:5749:0001'],
    ['HDAUDIO\FUNC_01&VEN_46E1&DEV_0A10&SUBSYS_4E520013', 'hdaudio:46e10a10'],
    ['hdaudio:46E10A10', 'hdaudio:46e10a10'],
    ['ACPI\OSTL0C81\2&daba3ff&0', 'acpi:ostl0c81'],
    ['ACPI\VEN_PNP&DEV_0C0A', 'acpi:pnp0c0a'],
    ['acpi:PNP0C0A:', 'acpi:pnp0c0a'],
]);

it('leaves an identifier of another form out', function (string $cell) {
    $reading = DeviceListReader::read("name;id\nx;{$cell}\n");
    expect($reading->devices)->toBe([]);
    expect($reading->notes)->toHaveCount(1);
})->with([
    'ROOT\SYSTEM\0001',
    'PCI\VEN_51A2',
    'USB\ROOT_HUB30',
    'pci:51a2',
    'HDAUDIO\FUNC_02&VEN_46E1&DEV_0A10',
    'SWD\X',
    '46e1',
]);
