<?php

use Cobblestone\Assessment\Fit;
use Cobblestone\Assessment\InstallWish;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Machine\Drive;
use Cobblestone\Quantity\Bytes;

it('needs nothing where the system names no need', function () {
    expect(onlyRow(needing([]), [
        'memory_bytes' => 1,
        'cores' => 1,
        'firmware.kind' => 'bios',
        'security_chip.version' => 'none',
    ]))
        ->toBeNull();
    expect(Requirements::assess(new InstallWish(machineKnowing([]), needing([])), 'off')->contribution->decisions)
        ->toBe([]);
    expect(Requirements::assess(new InstallWish(machineKnowing([]), needing([])), 'off')->fit)->toBe(Fit::Fits);
});

it('names every architecture a system is made for', function (
    array $facts,
    string $has,
    string $verdict,
    ?string $note,
) {
    $row = onlyRow(needing(['architectures' => ['x86-64', 'arm-64']]), $facts);
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])
        ->toBe(['x86-64 or arm-64', $has, $verdict, $note]);
})->with([
    [['architecture' => 'arm-64'], 'arm-64 (lshw)', 'meets', null],
    [['architecture' => 'x86-32'], 'x86-32 (lshw)', 'short', 'Choose an image made for x86-32.'],
    [[], 'unknown', 'unknown', null],
]);

it('counts to the unit', function (
    string $need,
    int $least,
    string $fact,
    mixed $value,
    string $needs,
    string $has,
    string $verdict,
    ?string $note,
) {
    $row = onlyRow(needing([$need => $least]), $value === null ? [] : [$fact => $value]);
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])->toBe([$needs, $has, $verdict, $note]);
})->with([
    ['memory_bytes', 2048, 'memory_bytes', 2048, '2.0 KiB', '2.0 KiB (lshw)', 'meets', '0 B to spare'],
    ['memory_bytes', 2048, 'memory_bytes', 2047, '2.0 KiB', '2.0 KiB (lshw)', 'short', 'short by 1 B'],
    ['memory_bytes', 2048, 'memory_bytes', 'much', '2.0 KiB', 'unknown', 'unknown', null],
    ['cores', 4, 'cores', 5, '4', '5 (lshw)', 'meets', '1 to spare'],
    ['cores', 4, 'cores', '4', '4', '4 (lshw)', 'meets', '0 to spare'],
    ['cores', 4, 'cores', 3, '4', '3 (lshw)', 'short', 'short by 1'],
    ['cores', 4, 'cores', 'four', '4', 'unknown', 'unknown', null],
    ['clock_mhz', 1000, 'clock_mhz', 1001, '1000 MHz', '1001 MHz (lshw)', 'meets', '1 MHz to spare'],
    ['display_pixels', 720, 'display.pixels', 719, '720 pixels', '719 pixels (lshw)', 'short', 'short by 1 pixels'],
    ['display_pixels', 720, 'display.pixels', null, '720 pixels', 'unknown', 'unknown', null],
]);

it('measures the drive that was read, and the assumed one only where none was', function (
    ?int $read,
    ?int $assumed,
    string $has,
    string $verdict,
    ?string $note,
) {
    $row = onlyRow(
        needing(['drive_bytes' => 64_000]),
        $assumed === null ? [] : ['drive_bytes' => $assumed],
        $read === null ? null : new Drive('sda', Bytes::of($read)),
    );
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])
        ->toBe(['64.0 kB', $has, $verdict, $note]);
})->with([
    'read' => [64_000, 1, '64.0 kB (reading of the drive)', 'meets', '0 B to spare'],
    'read, short' => [62_000, 99_000, '62.0 kB (reading of the drive)', 'short', 'short by 2.0 kB'],
    'assumed' => [null, 65_500, '65.5 kB (lshw)', 'meets', '1.5 kB to spare'],
    'neither' => [null, null, 'unknown', 'unknown', null],
]);
