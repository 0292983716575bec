<?php

use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\LegacySector;
use Cobblestone\Storage\Reading\StringSource;

/** Code that prints a text and then does that; with pushes, as file systems come. */
function printing(string $text, string $then, bool $pushes = false): string
{
    $code = $pushes
        ? "\x0E\x1F\xBE\x40\x7C\xAC\x22\xC0\x74\x0B\x56\xB4\x0E\xBB\x07\x00\xCD\x10\x5E\xEB\xF0"
        : "\xFC\x31\xC0\x8E\xD8\xBE\x40\x7C\xAC\x84\xC0\x74\x06\xB4\x0E\xCD\x10\xEB\xF5";

    return sectorZero(str_pad($code.$then, 0x40, "\x90")."{$text}\0");
}

it('judges the code in sector 0 by what it calls', function (string $sector, LegacyCode $code) {
    expect(LegacySector::judge(new StringSource($sector)))->toBe($code);
})->with([
    'no mark' => [sectorZero("\xEB\xFE", mark: "\0\0"), LegacyCode::NoMark],
    'nothing there' => ['', LegacyCode::NoMark],
    'zeros' => [sectorZero(''), LegacyCode::Zeros],
    'a table and zeros' => [sectorZero('', [[true, 0x0C, 1, 4]]), LegacyCode::Zeros],
    'prints and stays: all there is' => [sectorZero("\xB4\x0E\xCD\x10\xEB\xFE"), LegacyCode::Starts],
    'prints and waits for a key' => [sectorZero("\xCD\x10\xCD\x16\xEB\xFE"), LegacyCode::Stops],
    'prints and starts over' => [sectorZero("\xCD\x10\xCD\x19"), LegacyCode::Stops],
    'says that it has nothing' => [printing('This is not a bootable disk.', "\xF4"), LegacyCode::Stops],
    'says something else and stays' => [printing('Counter 3 runs.', "\xF4"), LegacyCode::Starts],
    'says nothing of what is there, and gives back' => [sectorZero("\xCD\x18 Missing system"), LegacyCode::Returns],
    'as a maker of file systems leaves it' => [
        printing('This is not a bootable disk.', "\x32\xE4\xCD\x16\xCD\x19\xEB\xFE", true), LegacyCode::Stops,
    ],
    'writes to a port and stays' => [sectorZero("\xBA\xF8\x03\xB0\x41\xEE\xF4\xEB\xFD"), LegacyCode::Starts],
    'does not end' => [sectorZero("\x40\xEB\xFD"), LegacyCode::Hangs],
    'halts at once' => [sectorZero("\xFA\xF4\xEB\xFD"), LegacyCode::Hangs],
    'an instruction that nobody here knows' => [sectorZero("\x0F\xFF\x12\x90"), LegacyCode::Unknown],
    'leaves its sector' => [sectorZero("\xE9\x00\x30"), LegacyCode::Unknown],
    'gives back only' => [sectorZero("\x90\xCD\x18"), LegacyCode::Returns],
    'neither: it waits on the spot' => [sectorZero("\xEB\xFE"), LegacyCode::Hangs],
    'reads the disk' => [sectorZero("\xB4\x02\xCD\x13\xEA"), LegacyCode::Starts],
    'walks the table, nothing active, gives back' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x18", [[false, 0x0C, 1, 4]]),
        LegacyCode::Returns,
    ],
    'walks the table, nothing active, prints' => [
        sectorZero("\xBE\xBE\x7D\xCD\x13\xCD\x10", [[false, 0x0C, 1, 4]]),
        LegacyCode::Stops,
    ],
    'active partition with a loader' => [
        sectorZero("\xBD\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 1, 1]]).sectorZero("\xB4\x02\xCD\x13"),
        LegacyCode::Starts,
    ],
    'active partition that only prints' => [
        sectorZero("\xBF\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 1, 1]]).sectorZero("\xCD\x10\xCD\x16"),
        LegacyCode::Stops,
    ],
    'active partition of zeros' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 1, 1]]).sectorZero(''),
        LegacyCode::Zeros,
    ],
    'active partition without a mark, gives back' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 1, 1]]).str_repeat("\0", 512),
        LegacyCode::Returns,
    ],
    'active partition without a mark, prints' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x10", [[true, 0x0C, 1, 1]]).str_repeat("\0", 512),
        LegacyCode::Stops,
    ],
    'active entries that lead round' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 0, 1]]),
        LegacyCode::Unknown,
    ],
    'has words for it' => [sectorZero(''), LegacyCode::Zeros],
]);
