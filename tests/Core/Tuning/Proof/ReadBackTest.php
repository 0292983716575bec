<?php

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Partition;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Tuning\Proof\Observation;
use Cobblestone\Tuning\Proof\ReadBack;

/**
 * @param  array<string, mixed>  $facts
 * @param  array<string, mixed>  $more  of the machine
 */
function seenMachine(array $facts = [], array $more = []): Machine
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, Source::Reading, 'dmidecode (dmi.txt)'));
    }

    return new Machine(...['title' => 'x', 'kind' => Kind::Laptop, 'facts' => $sheet, ...$more]);
}

function readRow(Machine $machine, Evidence $row, string $clock = ''): ?Observation
{
    return (new ReadBack($machine, $clock))->all([$row])[$row->id] ?? null;
}

function rowOf(string $id, EvidenceKind $kind = EvidenceKind::Choice, array $options = []): Evidence
{
    return new Evidence($id, 'Row', $kind, $options, expected: new Expected('x'));
}

it('answers rows by facts that were read', function (string $row, string $fact, mixed $value, string $is) {
    $seen = readRow(seenMachine([$fact => $value]), rowOf($row, EvidenceKind::Text));
    expect([$seen?->value, $seen?->origin])->toBe([$is, 'dmidecode (dmi.txt)'])
        ->and(readRow(seenMachine(), rowOf($row, EvidenceKind::Text)))->toBeNull();
})->with([
    ['cores', 'cores', 8, '8'],
    ['threads', 'threads', 16, '16'],
    ['memory_installed', 'memory_bytes', 17179869184, '17179869184'],
    ['memory_usable', 'memory.usable_bytes', 16492674416, '16492674416'],
    ['firmware_version', 'firmware.version', '1.16', '1.16'],
    ['build', 'running.build', '7200', '7200'],
    ['setting.secure_boot', 'firmware.secure_boot', 'on', 'on'],
    ['setting.key_mode', 'firmware.key_mode', 'setup', 'setup'],
]);

it('takes nothing that is only assumed, and no list of words', function () {
    $assumed = FactSheet::empty()->with(Fact::of('cores', 8, Source::Catalogue, 'catalogue'));
    expect(readRow(new Machine('x', Kind::Laptop, $assumed), rowOf('cores')))->toBeNull()
        ->and(readRow(seenMachine(['firmware.version' => ['a', 'b']]), rowOf('firmware_version')))->toBeNull();
});

it('reads the slowest module for the rate', function (array $set, ?string $is) {
    $modules = array_map(
        fn (?int $one, int $at) => new MemoryModule("S{$at}", $one === 0 ? null : Bytes::gibi(8), setTransfers: $one),
        $set,
        array_keys($set),
    );
    expect(readRow(seenMachine(more: ['modules' => $modules]), rowOf('memory_rate'))?->value)->toBe($is);
})->with([
    [[6000, 6000], '6000 MT/s'],
    [[6000, 4800], '4800 MT/s'],
    [[6000, null], '6000 MT/s'],
    // An empty slot has no rate.
    [[0, 6000], '6000 MT/s'],
    [[null], null],
    [[], null],
]);

it('says of a device whether it is there and driven', function (
    array $device,
    EvidenceKind $kind,
    ?string $value,
) {
    $device = Device::fromArray(['name' => 'W2 wireless', 'id' => 'pci:51a2:0202', 'family' => 'network', ...$device]);
    $row = rowOf('device.pci:51a2:0202', $kind);
    expect(readRow(seenMachine(more: ['devices' => [$device]]), $row)?->value)->toBe($value);
})->with([
    [['status' => 'OK', 'driver' => '22.9'], EvidenceKind::Choice, 'driven'],
    [['status' => 'no driver'], EvidenceKind::Choice, 'bare'],
    [[], EvidenceKind::Choice, null],
    [['driver' => 'quarrelwifi'], EvidenceKind::Choice, 'driven'],
    [['status' => 'OK', 'driver' => '22.9'], EvidenceKind::Text, '22.9'],
    [['status' => 'no driver', 'driver' => '22.9'], EvidenceKind::Text, 'without a driver'],
    // The name of a module is no version.
    [['driver' => 'quarrelwifi'], EvidenceKind::Text, null],
    [['driver' => 'ath10k'], EvidenceKind::Text, null],
]);

it('says that a device is not there only where its bus was read', function (
    array $others,
    EvidenceKind $kind,
    ?string $value,
) {
    $devices = array_map(fn (string $id) => new Device('other', $id, 'other', status: 'OK'), $others);
    $row = rowOf('device.pci:51a2:0202', $kind);
    expect(readRow(seenMachine(more: ['devices' => $devices]), $row)?->value)->toBe($value);
})->with([
    [['pci:4f51:5500'], EvidenceKind::Choice, 'missing'],
    [['pci:4f51:5500'], EvidenceKind::Text, 'not there'],
    [['usb:5749:0001'], EvidenceKind::Choice, null],
    [[], EvidenceKind::Choice, null],
]);

it('counts what has no driver, and names it', function () {
    $devices = [
        new Device('one', 'pci:1:1', 'other', status: 'OK'),
        new Device('two', 'pci:1:2', 'other', status: 'Error'),
        new Device('three', 'pci:1:3', 'other'),
    ];
    $seen = readRow(seenMachine(more: ['devices' => $devices]), rowOf('without_driver'));
    expect([$seen?->value, $seen?->words])->toBe(['1', 'two'])
        ->and(readRow(seenMachine(more: ['devices' => [$devices[2]]]), rowOf('without_driver')))->toBeNull()
        ->and(readRow(seenMachine(more: ['devices' => [$devices[0]]]), rowOf('without_driver'))?->value)->toBe('0');
});

it('finds a drive by its serial', function () {
    $drive = new Drive('/dev/x', Bytes::of(256060514304), 'SM3-1');
    $other = new Drive('/dev/y', Bytes::of(512110190592), 'SM3-2', removable: true);
    $machine = seenMachine(more: ['drives' => [$drive, $other]]);
    $gone = readRow($machine, rowOf('drive.SM3-9', EvidenceKind::Size));
    expect(readRow($machine, rowOf('drive.SM3-1'))?->value)->toBe('256060514304')
        ->and(readRow($machine, rowOf('drive.SM3-2'))?->value)->toBe('512110190592')
        ->and([$gone?->value, $gone?->words])->toBe(['0', 'no drive of this serial'])
        ->and(readRow(seenMachine(), rowOf('drive.SM3-1')))->toBeNull()
        // The only one inside, where nobody knows a serial.
        ->and(readRow($machine, rowOf('drive_size'))?->value)->toBe('256060514304')
        ->and(readRow(seenMachine(more: ['drives' => [$drive, $drive]]), rowOf('drive_size')))->toBeNull();
});

it('tells whether the drive inside is encrypted', function (array $drives, ?string $is) {
    expect(readRow(seenMachine(more: ['drives' => $drives]), rowOf('encryption'))?->value)->toBe($is);
})->with(function () {
    $open = new Partition('p1', Bytes::of(1000));
    $sealed = new Partition('p2', Bytes::of(1000), encrypted: true);
    $drive = fn (array $partitions, bool $out = false, bool $detailed = true) => new Drive(
        '/dev/x',
        Bytes::of(5000),
        removable: $out,
        partitions: $partitions,
        detailed: $detailed,
    );

    return [
        [[$drive([$open, $sealed])], 'on'],
        [[$drive([$open])], 'off'],
        [[$drive([$open]), $drive([$sealed], true)], 'off'],
        'both sealed' => [[$drive([$open, $sealed]), $drive([$sealed])], 'on'],
        'which of two it is, nobody said' => [[$drive([$open]), $drive([$open, $sealed])], null],
        'an empty one says nothing against it' => [[$drive([]), $drive([$open, $sealed])], 'on'],
        'one of two was not read' => [[$drive([$sealed]), $drive([$open], false, false)], null],
        [[$drive([])], null],
        [[$drive([$open], false, false)], null],
        [[], null],
    ];
});

it('tells which system runs, where its name alone says it', function (array $facts, array $options, ?string $is) {
    $seen = readRow(seenMachine($facts), rowOf('system', EvidenceKind::Choice, $options));
    expect($seen?->value)->toBe($is);
})->with([
    [['running.system' => 'orrin desktop 3'], ['this' => 'Orrin Desktop 3', 'other' => 'another one'], 'this'],
    [['running.system' => 'Orrin Desktop 3.1'], ['this' => 'Orrin Desktop 3', 'other' => 'another one'], 'this'],
    [['running.system' => 'Orrin Desktop 3 (Pier)'], ['this' => 'Orrin Desktop 3', 'other' => 'another one'], 'this'],
    [['running.system' => 'Orrin Desktop 31'], ['this' => 'Orrin Desktop 3', 'other' => 'another one'], 'other'],
    [['running.system' => 'Skerry Rolling'], ['this' => 'Orrin Desktop 3', 'other' => 'another one'], 'other'],
    [['running.system' => 'Tansy Desktop 7'], ['Dock' => 'Dock', 'other' => 'another system'], null],
    [[], ['this' => 'Orrin Desktop 3'], null],
]);

it('reads the widest of several links', function () {
    $machine = seenMachine([
        'device.links' => ['pci:46e1:7700 width 8', 'pci:46e1:7700 width 16', 'pci:1:1 width 4', '?'],
    ]);
    expect(readRow($machine, rowOf('link.pci:46e1:7700'))?->value)->toBe('16')
        ->and(readRow($machine, rowOf('link.pci:4f51:9900')))->toBeNull()
        ->and(readRow(seenMachine(), rowOf('link.pci:46e1:7700')))->toBeNull();
});

it('says that the clock is wrong where it was seen to be, and never that it is right', function () {
    $seen = readRow(seenMachine(), rowOf('clock'), 'its clock says 2019');
    expect([$seen?->value, $seen?->words])->toBe(['no', 'its clock says 2019'])
        ->and(readRow(seenMachine(), rowOf('clock')))->toBeNull()
        ->and(readRow(seenMachine(['cores' => 8]), rowOf('sound')))->toBeNull();
});
