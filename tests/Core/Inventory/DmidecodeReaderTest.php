<?php

use Cobblestone\Inventory\DmidecodeReader;
use Cobblestone\Inventory\Reading;

/** @param  array<string, string>  $fields */
function structureOf(int $type, array $fields): string
{
    $lines = array_map(
        fn (string $field, string $value): string => "\t{$field}: {$value}",
        array_keys($fields),
        $fields,
    );

    return sprintf("Handle 0x%04X, DMI type %d, 40 bytes\nA Title\n%s\n\n", $type, $type, implode("\n", $lines));
}

function dmiOf(string ...$structures): Reading
{
    return DmidecodeReader::read("# dmidecode 3.4\n".implode('', $structures).'End Of Table');
}

it('adds up what the sockets that are filled hold', function () {
    $reading = dmiOf(
        structureOf(4, [
            'Status' => 'Populated, Enabled',
            'Core Count' => '8',
            'Thread Count' => '16',
            'Max Speed' => '4300 MHz',
        ]),
        structureOf(4, [
            'Status' => 'Populated, Enabled',
            'Core Count' => '4',
            'Thread Count' => '4',
            'Max Speed' => 'Unknown',
        ]),
        structureOf(4, ['Status' => 'Unpopulated', 'Core Count' => '99', 'Max Speed' => '100 MHz']),
        structureOf(4, ['Core Count' => 'x', 'Thread Count' => '']),
    );
    expect($reading->facts)->toBe(['cores' => 12, 'threads' => 20, 'clock_mhz' => 4300]);
    expect($reading->notes)->toBe([]);
});

it('adds up the memory arrays that are system memory', function () {
    $reading = dmiOf(
        structureOf(16, ['Use' => 'System Memory', 'Maximum Capacity' => '64 GB', 'Number Of Devices' => '2']),
        structureOf(16, ['Maximum Capacity' => '32 GB', 'Number Of Devices' => '4']),
        structureOf(16, ['Use' => 'Flash Memory', 'Maximum Capacity' => '16 MB', 'Number Of Devices' => '1']),
        structureOf(16, ['Use' => 'System Memory', 'Maximum Capacity' => 'Unknown', 'Number Of Devices' => 'two']),
    );
    expect($reading->facts)->toBe(['memory.max_bytes' => 96 * 1024 ** 3, 'memory.slots' => 6]);
});

it('adds up the modules and counts the slots it has no name for', function () {
    $reading = dmiOf(
        structureOf(17, [
            'Size' => '8 GB',
            'Locator' => 'Slot A',
            'Form Factor' => 'SODIMM',
            'Type' => 'DDR4',
            'Speed' => '3200 MT/s',
            'Configured Memory Speed' => '2933 MT/s',
        ]),
        structureOf(17, [
            'Size' => '4096 MB',
            'Locator' => 'Not Specified',
            'Form Factor' => 'Row Of Chips',
            'Configured Clock Speed' => '1333 MHz',
        ]),
        structureOf(17, ['Size' => 'No Module Installed', 'Locator' => 'Slot C']),
        structureOf(17, ['Size' => 'Not Installed', 'Locator' => 'Slot D']),
        structureOf(17, ['Size' => '0 MB', 'Locator' => 'Slot E']),
        structureOf(17, ['Locator' => 'Slot F']),
    );
    expect($reading->facts)->toBe(['memory_bytes' => 12 * 1024 ** 3]);
    expect(array_map(fn ($module) => $module->slot, $reading->modules))->toBe([
        'Slot A',
        'slot 2',
        'Slot C',
        'Slot D',
        'Slot E',
        'Slot F',
    ]);
    expect(array_map(fn ($module) => $module->isEmpty(), $reading->modules))->toBe([
        false,
        false,
        true,
        true,
        true,
        true,
    ]);
    expect(array_map(fn ($module) => $module->soldered, $reading->modules))->toBe([
        false,
        true,
        false,
        false,
        false,
        false,
    ]);
    expect($reading->modules[1]->setTransfers)->toBe(1333);
    expect($reading->modules[1]->ratedTransfers)->toBeNull();
    expect($reading->notes)->toBe([]);
});

it('says nothing of memory where every slot is empty', function () {
    expect(dmiOf(structureOf(17, ['Size' => 'No Module Installed']))->facts)->toBe([]);
});

it('leaves out a module of a size it cannot read, by line, thirty characters of it', function () {
    $reading = dmiOf(
        structureOf(1, ['Manufacturer' => 'Norrel']),
        structureOf(17, ['Size' => 'abcdefghijklmnopqrstuvwxyz0123456789']),
    );
    expect($reading->modules)->toBe([]);
    expect($reading->notes)->toBe([
        'dmidecode, line 6: memory size "abcdefghijklmnopqrstuvwxyz0123" was not understood; the module is left out.',
    ]);
});

it('keeps the first of two structures of one kind, and the first of two fields', function () {
    $reading = dmiOf(
        structureOf(2, ['Product Name' => 'NL-F13', 'Version' => 'rev 2']),
        structureOf(2, ['Product Name' => 'riser', 'Version' => 'rev 9']),
        "Handle 0x0009, DMI type 1, 27 bytes\nSystem\n\tManufacturer: Norrel\n\tManufacturer: Other\n",
    );
    expect($reading->facts)->toBe([
        'board.name' => 'NL-F13',
        'board.revision' => 'rev 2',
        'machine.maker' => 'Norrel',
    ]);
});

it('takes an unfilled field for nothing', function () {
    expect(
        dmiOf(
            structureOf(1, [
                'Manufacturer' => 'System manufacturer',
                'Product Name' => 'To be filled by O.E.M.',
                'Serial Number' => '0000000',
                'SKU Number' => ' ',
            ]),
        )->facts,
    )->toBe([]);
});

it('takes a battery of a size it can read', function (string $capacity, array $facts) {
    expect(dmiOf(structureOf(22, ['Design Capacity' => $capacity]))->facts)->toBe($facts);
})->with([
    ['52000 mWh', ['battery.design_wh' => 52.0]],
    ['51960 mWh', ['battery.design_wh' => 52.0]],
    ['999 mWh', ['battery.design_wh' => 1.0]],
    ['99 mWh', []],
    ['000 mWh', []],
    ['4200 mAh', []],
    ['Unknown', []],
]);

it('takes a clock of three to five digits', function (string $speed, array $facts) {
    expect(dmiOf(structureOf(4, ['Max Speed' => $speed]))->facts)->toBe($facts);
})->with([
    ['800 MHz', ['clock_mhz' => 800]],
    ['10000 MHz', ['clock_mhz' => 10000]],
    ['99 MHz', []],
    ['100000 MHz', []],
    ['4300 MHz max', []],
    ['up to 4300 MHz', []],
]);

it('reads the security chip\'s version, and passes over kinds it has no use for', function () {
    expect(
        dmiOf(
            structureOf(43, ['Specification Version' => '2.0']),
            structureOf(3, ['Type' => 'Notebook', 'Serial Number' => 'C-1']),
        )->facts,
    )->toBe(['security_chip.version' => '2.0']);
});

it('notes a line that belongs to nothing, by its number, and no line that does', function () {
    $text =
        "# dmidecode 3.4\nbefore any handle !\nHandle 0x0001, DMI type 1, 27 bytes.\nSystem "
            ."Information\n\tManufacturer: Norrel\r\n\tFeatures:\n\t\tone\n<<< "
                ."abcdefghijklmnopqrstuvwxyz0123456789abcdef\nInvalid entry length (0). DMI table is broken! "
                    ."Stop.\n\nEnd Of Table\n";
    $reading = DmidecodeReader::read($text);
    expect($reading->facts)->toBe(['machine.maker' => 'Norrel']);
    expect($reading->notes)->toBe([
        'dmidecode, line 8: "<<< abcdefghijklmnopqrstuvwxyz0123456789" was not understood; left out.',
    ]);
});
