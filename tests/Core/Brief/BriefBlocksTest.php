<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Brief\Extra;
use Cobblestone\Brief\FixedChoice;
use Cobblestone\Brief\MachineBlock;
use Cobblestone\Brief\SystemDefaults;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

// What each block of a brief takes for granted, and what it never loses.

/** @param  array<string, mixed>  $more */
function leastBrief(array $more = []): Brief
{
    return Brief::fromArray(['brief' => 1, 'title' => ' Gannet ', 'machine' => ['kind' => 'laptop'], ...$more]);
}

/** A listing of one drive, as lsblk gives it. */
function listing(string $path, string $serial, int $bytes = 512_110_190_592): string
{
    return json_encode(['blockdevices' => [[
        'name' => $path, 'type' => 'disk', 'size' => $bytes, 'serial' => $serial,
        'model' => 'Pebble M2',
    ]]], JSON_THROW_ON_ERROR);
}

it('takes as little as a title and a kind of machine', function () {
    expect(leastBrief()->toArray())->toBe([
        'brief' => 1, 'title' => 'Gannet', 'goal' => 'clean-install', 'owner' => 'the owner',
        'machine' => ['kind' => 'laptop'],
    ]);
});

it('gives each block back as it was given', function (string $block, array $given) {
    expect(leastBrief([$block => $given])->toArray()[$block])->toBe($given);
})->with([
    'a copy that was there, and not proven' => [
        'backup', ['existing' => ['date' => '2026-11-01', 'proven' => false, 'samples' => 3]],
    ],
    'where to' => ['backup', ['keep' => 'some', 'destination' => [
        'name' => 'Harbour disk', 'serial' => '77', 'free_bytes' => '1 TB', 'mb_s' => 90, 'file_system' => 'ext4',
        'was_said' => 'ntfs',
    ]]],
    'a licence' => ['licence', ['kind' => 'retail', 'edition' => 'Work']],
    'a licence by entitlement' => ['licence', ['kind' => 'entitlement']],
    'an unclear one' => ['licence', ['kind' => 'unclear']],
    'an update without a reason' => ['update', ['to' => '1.2']],
    'an update' => ['update', ['reason' => 'a fault', 'to' => '1.2', 'gives' => 'sleep', 'on_stick' => 'x.cap']],
    'memory' => ['memory', [
        'modules' => ['a' => 8], 'slots' => ['1', '2'], 'populations' => [['1'], ['1', '2']], 'soldered' => true,
        'spare_gib' => 8, 'profile' => 'faster', 'passes' => 2, 'minutes_per_gib' => 1.5,
        'tests' => [['placed' => ['a' => '1'], 'profile' => 'faster', 'passes' => 1, 'outcome' => 'no-start']],
    ]],
    'memory whose modules go by a number' => ['memory', ['modules' => [1 => 8, 2 => 16], 'slots' => ['1', '2']]],
    'a first start' => ['first_boot', [
        'computer_name' => 'QF-1', 'region' => 'Skerry', 'keyboard' => 'Skerry', 'use' => 'shared',
        'account' => 'online-first', 'restore' => 'restore',
    ]],
    'what comes from elsewhere' => ['extras', [['what' => 'a tool'], ['what' => 'b', 'source' => 's']]],
    'a described system' => ['system', ['name' => 'Tarn 4']],
    'a described image' => ['image', [
        'name' => 'tarn.iso', 'bytes' => 1, 'kind' => 'optical', 'architecture' => 'x86-64', 'sha256' => 'ab',
        'models' => ['gannet'],
    ]],
]);

it('knows every word that a block offers', function (array $brief) {
    expect(leastBrief($brief)->toArray())->toMatchArray($brief);
})->with([
    ...array_map(static fn (string $s) => [['backup' => ['destination' => ['name' => 'x', 'file_system' => $s]]]], [
        'fat32', 'exfat', 'ntfs', 'ext4', 'other',
    ]),
    ...array_map(static fn (string $s) => [['first_boot' => ['use' => $s]]], ['personal', 'work', 'shared']),
    ...array_map(static fn (string $s) => [['first_boot' => ['account' => $s]]], ['local-first', 'online-first']),
    ...array_map(static fn (string $s) => [['first_boot' => ['restore' => $s]]], ['new', 'restore']),
    ...array_map(static fn (string $s) => [['licence' => ['kind' => $s]]], [
        'firmware-key', 'entitlement', 'retail', 'none', 'unclear',
    ]),
    ...array_map(static fn (string $s) => [['machine' => ['kind' => $s]]], [
        'desktop', 'laptop', 'handheld', 'sealed', 'any',
    ]),
]);

it('leaves out of an image what was only assumed of it', function () {
    $image = SystemDefaults::image(Fields::of(['name' => ' tarn.iso ', 'bytes' => 7, 'tea' => 'green'], 'image'));
    expect($image->name)->toBe('tarn.iso')->and($image->kindAssumed)->toBeTrue()
        ->and(SystemDefaults::told($image))->toBe(['name' => 'tarn.iso', 'bytes' => 7]);
});

it('asks for what a system or an image cannot do without', function (string $block, array $given, string $says) {
    expect(fn () => leastBrief([$block => $given]))->toThrow(BriefFault::class, $says);
})->with([
    ['system', ['name' => '  '], 'system.name: a system the catalogue does not hold needs at least a name.'],
    ['system', ['edition' => 'x'], 'system.name'],
    ['image', ['bytes' => 7], 'image.name: an image the shelf does not hold needs at least its file name.'],
    ['image', ['name' => 'a', 'bytes' => 0], 'image.bytes: its size in bytes is wanted, a whole number above 0.'],
    ['image', ['name' => 'a', 'bytes' => '7'], 'image.bytes'],
]);

it('assumes of a system that nobody has described how such a one is installed', function () {
    $system = SystemDefaults::system(Fields::of(['name' => 'Tarn 4'], 'system'));
    expect($system->firstBoot?->minutes)->toBe([3, 8, 20])
        ->and(array_column($system->firstBoot?->rows ?? [], 'ask'))->toBe([
            'Region and keyboard', 'Account', 'Diagnostic data and offers',
        ])
        ->and($system->partitions[0]->mebibytes)->toBe(260)
        ->and(array_column($system->partitions, 'name'))->toBe(['EFI system', 'system'])
        ->and($system->install?->phases[0]->minutes)->toBe([8, 20, 45])
        ->and($system->install?->phases[1]->minutes)->toBe([1, 4, 12])
        ->and($system->updates?->minutes)->toBe([5, 20, 60])
        ->and($system->updates?->restarts)->toBe(1);
});

it('calls what comes from elsewhere recorded only with source, checksum and reason', function (
    string $source,
    string $sum,
    string $reason,
    bool $is,
) {
    expect((new Extra('a tool', $source, $sum, $reason))->isRecorded())->toBe($is);
})->with([
    ['s', 'c', 'r', true], ['', 'c', 'r', false], ['s', '', 'r', false], ['s', 'c', '', false], ['', '', '', false],
]);

it('takes an extra that says no more than what it is for not recorded', function () {
    $extra = Extra::read(Fields::of(['what' => 'a tool'], 'extras'));
    expect([$extra->source, $extra->sha256, $extra->reason])->toBe(['', '', ''])
        ->and($extra->isRecorded())->toBeFalse();
});

it('asks for what a memory sheet cannot do without', function (array $memory, string $where) {
    expect(fn () => leastBrief(['memory' => $memory]))->toThrow(BriefFault::class, $where);
})->with([
    [['slots' => ['1']], 'memory.modules'],
    [['modules' => ['a' => 8]], 'memory.slots'],
    [['modules' => ['a' => 'eight'], 'slots' => ['1']], 'memory.modules.a'],
    [['modules' => ['a' => 8], 'slots' => ['1'], 'tests' => [['passes' => 1]]], 'placed'],
]);

it('counts sockets in whole numbers, and none below nothing', function () {
    $machine = MachineBlock::fromArray(['kind' => 'laptop', 'ports' => ['usb-c' => 2, 'usb-a' => -1, 'card' => 1.9]]);
    expect($machine->ports)->toBe(['usb-c' => 2, 'usb-a' => 0, 'card' => 1]);
    expect(fn () => MachineBlock::fromArray(['kind' => 'tray']))->toThrow(FieldFault::class);
});

it('keeps the drive and not the number it had', function (array $facts, array $becomes) {
    $machine = new MachineBlock(kind: 'laptop', facts: $facts, lsblk: listing('/dev/sda', 'S-1'));
    expect(FixedChoice::of($machine)->facts)->toBe($becomes);
})->with([
    'nothing chosen' => [['cores' => 4], ['cores' => 4]],
    'a path that is there' => [
        ['target.path' => '/dev/sda'], ['target.drive' => 'S-1', 'target.bytes' => 512_110_190_592],
    ],
    'with the bytes somebody gave' => [
        ['target.path' => '/dev/sda', 'target.bytes' => 7], ['target.bytes' => 7, 'target.drive' => 'S-1'],
    ],
    'a path that is not there' => [['target.path' => '/dev/sdb'], ['target.path' => '/dev/sdb']],
    'a drive that is named already' => [
        ['target.path' => '/dev/sda', 'target.drive' => 'S-9'],
        ['target.path' => '/dev/sda', 'target.drive' => 'S-9'],
    ],
    'the second of two' => [
        ['target.path' => '/dev/sdb', 'swap.path' => '/dev/sda'],
        ['target.path' => '/dev/sdb', 'swap.drive' => 'S-1', 'swap.bytes' => 512_110_190_592],
    ],
]);

it('takes the first reading that has the path, whatever a later one says', function () {
    $reading = fn (string $text) => ['tool' => 'lsblk', 'facts' => [], 'lsblk' => $text];
    $machine = MachineBlock::fromArray([
        'kind' => 'laptop', 'facts' => ['target.path' => '/dev/sda'],
        'readings' => [$reading('cut'), $reading(listing('/dev/sda', 'S-1')), $reading(listing('/dev/sda', 'S-2'))],
    ]);
    expect(FixedChoice::of($machine)->facts['target.drive'])->toBe('S-1');
});
