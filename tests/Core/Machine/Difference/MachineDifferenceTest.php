<?php

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Difference\DifferenceLine;
use Cobblestone\Machine\Difference\MachineDifference;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Partition;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;

/**
 * @param  array<string, mixed>  $facts
 * @param  array<string, mixed>  $more
 */
function lookedAt(array $facts = [], array $more = []): Machine
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, Source::Reading, 'x'));
    }

    return new Machine(...['title' => 'x', 'kind' => Kind::Desktop, 'facts' => $sheet, ...$more]);
}

/** @return list<string> */
function told(Machine $before, Machine $after): array
{
    return array_map(
        fn (DifferenceLine $line) => "{$line->part}: {$line->sentence()}",
        MachineDifference::between($before, $after)->lines,
    );
}

it('tells what went, came and changed', function (array $before, array $after, array $told) {
    expect(told(lookedAt(more: $before), lookedAt(more: $after)))->toBe($told)
        // The other way round every line turns over.
        ->and(count(told(lookedAt(more: $after), lookedAt(more: $before))))->toBe(count($told));
})->with(function () {
    $device = fn (
        string $id,
        ?string $status = null,
        ?string $driver = null,
        string $name = 'G7 graphics',
    ) => new Device(
        $name,
        $id,
        'graphics',
        status: $status,
        driver: $driver,
    );
    $drive = fn (string $serial, array $partitions, int $bytes = 1000) => new Drive(
        '/dev/x',
        Bytes::of($bytes),
        $serial,
        'NV-3',
        table: 'gpt',
        partitions: $partitions,
    );
    $module = fn (string $slot, ?int $gib, ?int $rate = null) => new MemoryModule(
        $slot,
        $gib === null ? null : Bytes::gibi($gib),
        setTransfers: $rate,
    );

    return [
        'a card' => [
            ['devices' => [$device('pci:46e1:7700', 'OK', '560.2')]],
            ['devices' => [$device('pci:4f51:9900', 'no driver', null, 'G9 graphics')]],
            [
                'device: G7 graphics (pci:46e1:7700) went: driver 560.2.',
                'device: G9 graphics (pci:4f51:9900) came: no driver.',
            ],
        ],
        'a driver' => [
            ['devices' => [$device('pci:46e1:7700', 'OK', '560.1')]],
            ['devices' => [$device('pci:46e1:7700', 'OK', '560.2', 'Graphics, G7')]],
            ['device: Graphics, G7 (pci:46e1:7700): was driver 560.1, is driver 560.2.'],
        ],
        'the same by another name' => [
            ['devices' => [$device('pci:46e1:7700')]],
            ['devices' => [$device('pci:46e1:7700', null, null, 'display adapter')]],
            [],
        ],
        'one of two alike' => [
            ['devices' => [$device('pci:46e1:7700', 'OK', '560.1')->counted(2)]],
            ['devices' => [$device('pci:46e1:7700', 'OK', '560.1')]],
            ['device: G7 graphics (pci:46e1:7700): was 2 of them, driver 560.1, is driver 560.1.'],
        ],
        'a list of another bus' => [
            ['devices' => [$device('pci:46e1:7700'), $device('usb:46e1:0001')]],
            ['devices' => [$device('pci:46e1:7700', 'no driver')]],
            ['device: G7 graphics (pci:46e1:7700): was there, is no driver.'],
        ],
        'a part of a list' => [
            ['devices' => array_map($device, ['pci:1:1', 'pci:1:2', 'pci:1:3', 'pci:1:4', 'pci:1:5'])],
            ['devices' => [$device('pci:1:1'), $device('pci:1:2', 'no driver')]],
            ['device: G7 graphics (pci:1:2): was there, is no driver.'],
        ],
        'most of a list' => [
            ['devices' => array_map($device, ['pci:1:1', 'pci:1:2', 'pci:1:3', 'pci:1:4'])],
            ['devices' => array_map($device, ['pci:1:1', 'pci:1:2'])],
            [
                'device: G7 graphics (pci:1:3) went: there.',
                'device: G7 graphics (pci:1:4) went: there.',
            ],
        ],
        'a drive laid out anew' => [
            ['drives' => [$drive('SM3-2207-88415D', [new Partition('p1', Bytes::of(500), fileSystem: 'ntfs')])]],
            ['drives' => [$drive('SM3-2207-88415D', [
                new Partition('p1', Bytes::of(500), fileSystem: 'ext4', label: 'root', encrypted: true),
            ])]],
            ['drive: NV-3, serial SM3-2207-88…: was 1 000 B: ntfs 500 B, is 1 000 B: root 500 B encrypted.'],
        ],
        'a drive that another tool calls otherwise' => [
            ['drives' => [$drive('SM3-2207-88415D', [new Partition('p1', Bytes::of(500), fileSystem: 'ntfs')])]],
            ['drives' => [new Drive('/dev/y', Bytes::of(1000), 'sm3-2207-88415d', partitions: [
                new Partition('p1', Bytes::of(500), fileSystem: 'ext4'),
            ])]],
            ['drive: NV-3, serial SM3-2207-88…: was 1 000 B: ntfs 500 B, is 1 000 B: ext4 500 B.'],
        ],
        'another drive' => [
            ['drives' => [$drive('SM3-2207-88415D', [])]],
            ['drives' => [new Drive('/dev/y', Bytes::of(1000), 'KB-9917-4402')]],
            [
                'drive: NV-3, serial SM3-2207-88… went: 1 000 B: no partitions read.',
                'drive: Drive, serial KB-9917-… came: 1 000 B: blank.',
            ],
        ],
        'a module' => [
            ['modules' => [$module('A', 8, 3200), $module('B', null)]],
            ['modules' => [$module('A', 8, 3200), $module('B', 8, 3200)]],
            ['memory: Memory in B: was empty, is 8.0 GiB, 3200 MT/s.'],
        ],
        'programs' => [
            ['programs' => ['Tidebook ledger' => '3', 'Gull mail' => '1']],
            ['programs' => ['Tidebook ledger' => '4', 'Tern view' => '2']],
            [
                'program: Tidebook ledger: was 3, is 4.',
                'program: Gull mail went: 1.',
                'program: Tern view came: 2.',
            ],
        ],
    ];
});

it('compares facts that both readings say, settings apart from the rest', function () {
    $before = lookedAt([
        'firmware.secure_boot' => 'off',
        'firmware.version' => '1.14',
        'cores' => 8,
        'threads' => 16,
    ]);
    $after = lookedAt(['firmware.secure_boot' => 'on', 'firmware.version' => '1.16', 'cores' => 8,
        'battery.percent' => 40]);
    expect(told($before, $after))->toBe([
        'setting: Secure Boot: was off, is on.',
        'machine: Firmware version: was 1.14, is 1.16.',
    ]);
});

it('says what only one of the two readings tells of', function () {
    $difference = MachineDifference::between(
        lookedAt(more: ['devices' => [new Device('a', 'pci:1:1', 'other')], 'programs' => ['a' => '1']]),
        lookedAt(more: ['devices' => [new Device('a', 'pci:1:1', 'other')]]),
    );
    expect($difference->lines)->toBe([])->and($difference->unseen)->toBe(['program']);
});

it('sees no difference between a machine and itself', function () {
    $machine = lookedAt(['cores' => 8, 'firmware.secure_boot' => 'on', 'battery.percent' => 3], [
        'devices' => [new Device('a', 'pci:1:1', 'other', status: 'OK')],
        'drives' => [new Drive('/dev/x', Bytes::of(5), 'S', 'M')],
        'programs' => ['a' => ''],
    ]);
    expect(MachineDifference::between($machine, $machine)->lines)->toBe([]);
});

it('is a document of plain words', function () {
    $line = MachineDifference::between(lookedAt(['cores' => 4]), lookedAt(['cores' => 8]))->lines[0];
    expect($line->toArray())->toBe([
        'part' => 'machine',
        'change' => 'changed',
        'name' => 'cores',
        'was' => '4',
        'is' => '8',
        'words' => 'Cores: was 4, is 8.',
    ]);
});
