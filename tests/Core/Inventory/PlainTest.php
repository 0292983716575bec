<?php

use Cobblestone\Inventory\PciClass;
use Cobblestone\Inventory\Plain;

it('takes a word as printed, on one line', function (mixed $value, ?string $word) {
    expect(Plain::word($value))->toBe($word);
})->with([
    'a name' => [' NF13-2 ', 'NF13-2'],
    'a number' => [1600, '1600'],
    'control characters become one space' => ["a\x00\x1f\tb", 'a b'],
    'delete is one too' => ["a\x7fb", 'a b'],
    'a list' => [['x'], null],
    'a fraction' => [1.5, null],
    'true' => [true, null],
    'nothing' => [null, null],
    'blank' => ["  \n", null],
    'at most 120 characters' => ['x'.str_repeat('é', 130), 'x'.str_repeat('é', 119)],
    'text that would be markup stays text' => ['<b>rev 2</b>', '<b>rev 2</b>'],
]);

it('takes what a maker left unfilled for nothing', function (string $value) {
    expect(Plain::word($value))->toBeNull();
})->with([
    'To Be Filled By O.E.M.',
    'to be filled by oem',
    'Default string',
    'Not Specified',
    'Not Available',
    'Not Present',
    'None',
    'UNKNOWN',
    'NO DIMM',
    'Empty',
    '[Empty]',
    'System Serial Number',
    'System Product Name',
    'System Manufacturer',
    'System Version',
    'Chassis Serial Number',
    'Type2 - Board Serial',
    'N/A',
    '0',
    '0000000000',
    '0x00000000',
    'x.x',
    '- - -',
    '........',
]);

it('keeps a word that only begins or ends like an unfilled one', function (string $value) {
    expect(Plain::word($value))->toBe($value);
})->with([
    'None of your board',
    'Slot none',
    'Unknown Reef 4',
    'Empty Quay',
    'Prototype2',
    '00012',
    '0A00',
    'System Serial Number 7',
    'my default string',
]);

it('counts memory in powers of 1024', function (string $text, ?int $bytes) {
    expect(Plain::memory($text))->toBe($bytes);
})->with([
    ['8192 MB', 8_589_934_592],
    ['8 GB', 8_589_934_592],
    ['16 GiB', 17_179_869_184],
    ['2 TB', 2_199_023_255_552],
    ['512 kB', 524_288],
    ['1 kiB', 1024],
    ['4096 bytes', 4096],
    ['8GB', 8_589_934_592],
    [' 1 M ', 1_048_576],
    ['0 MB', 0],
    ['9999999 kB', 10_239_998_976],
    ['12345678 kB', null],
    ['8 gb', null],
    ['8.5 GB', null],
    ['-8 GB', null],
    ['8 GB x', null],
    ['x 8 GB', null],
    ['No Module Installed', null],
    ['', null],
]);

it('reads transfers a second under either name', function (string $text, ?int $transfers) {
    expect(Plain::transfers($text))->toBe($transfers);
})->with([
    ['3200 MT/s', 3200],
    ['1333 MHz', 1333],
    ['2400', 2400],
    [' 667 MHz ', 667],
    ['12', 12],
    ['123456 MT/s', 123456],
    ['5', null],
    ['1234567 MT/s', null],
    ['3200 GT/s', null],
    ['3200 MT/s?', null],
    ['about 3200 MT/s', null],
    ['Unknown', null],
]);

it('sorts PCI classes into the families drivers come in', function (string $class, ?string $family) {
    expect(PciClass::family($class))->toBe($family);
})->with([
    'NVMe controller' => ['0108', 'storage'],
    'wired network' => ['0200', 'network'],
    'other network, as most wireless cards' => ['0280', 'network'],
    'display' => ['0300', 'graphics'],
    '3D' => ['0302', 'graphics'],
    'video capture' => ['0400', 'camera'],
    'audio' => ['0401', 'audio'],
    'high definition audio' => ['0403', 'audio'],
    'ISA bridge' => ['0601', 'chipset'],
    'other communication' => ['0780', 'chipset'],
    'serial' => ['0700', 'other'],
    'USB' => ['0c03', 'chipset'],
    'SMBus' => ['0c05', 'chipset'],
    'other serial bus' => ['0c80', 'other'],
    'a card reader' => ['0805', 'other'],
    'a peripheral of no kind' => ['0880', 'other'],
    'no class at all' => ['ff00', 'other'],
    'a coprocessor' => ['0b40', 'other'],
    'a processor' => ['0b20', null],
    'a timer' => ['0802', null],
    'a unit for addresses' => ['0806', null],
    'a keyboard' => ['0900', 'input'],
    'wireless' => ['0d11', 'network'],
    'signal processing' => ['1180', 'chipset'],
    'host bridge' => ['0600', null],
    'PCI bridge' => ['0604', null],
    'memory' => ['0500', null],
]);
