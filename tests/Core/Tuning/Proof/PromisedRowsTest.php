<?php

use Cobblestone\Catalogue\SystemReads;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Tuning\Proof\DeviceRows;
use Cobblestone\Tuning\Proof\MachineRows;
use Cobblestone\Tuning\Proof\PromisedSetting;
use Cobblestone\Tuning\Proof\Promises;
use Cobblestone\Tuning\Proof\RowId;
use Cobblestone\Tuning\Proof\SystemRows;
use Cobblestone\Tuning\ProofScope;

/**
 * @param  array<string, int>  $facts
 * @param  list<Device>  $devices
 */
function promisedMachine(array $facts = [], array $devices = [], Source $source = Source::Reading): Machine
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, $source, 'x'));
    }

    return new Machine('Cobalt Mole', Kind::Laptop, $sheet, devices: $devices);
}

/**
 * @param  list<Evidence>  $rows
 * @return array<string, array{string, string, string, string, string}> label, kind, expected, source, read
 */
function asTable(array $rows): array
{
    $table = [];
    foreach ($rows as $row) {
        $table[$row->id] = [
            $row->label,
            $row->kind->value,
            (string) $row->expected?->value,
            (string) $row->expected?->source,
            $row->read,
        ];
    }

    return $table;
}

it('has a row for every part that something is known of', function () {
    $reads = new SystemReads(true, ['memory' => 'About', 'firmware' => 'Board']);
    $of = new Promises(
        promisedMachine(['threads' => 16, 'memory_bytes' => 2 ** 34]),
        drives: [
            new Drive('/dev/a', Bytes::of(1000), 'KB 1', 'Kelpbed'),
            new Drive('/dev/b', Bytes::of(2000), 'KB2'),
            new Drive('/dev/c', Bytes::of(3000)),
        ],
        firmware: '1.16',
        updates: true,
        rate: 6000,
        reads: $reads,
    );
    expect(asTable(MachineRows::of($of)))->toBe([
        'threads' => ['Threads', 'count', '16', 'reading', 'the collector'],
        'memory_installed' => [
            'Memory that is installed', 'size', (string) 2 ** 34, 'reading', 'the collector, or: About',
        ],
        'memory_rate' => ['Rate of the memory', 'rate', '6000 MT/s', 'plan', 'the collector'],
        'drive.KB-1' => ['Size of Kelpbed, serial KB 1', 'size', '1000', 'reading', 'the collector'],
        'drive.KB2' => ['Size of the drive, serial KB2', 'size', '2000', 'reading', 'the collector'],
        'firmware_version' => ['Firmware version', 'text', '1.16', 'plan', 'the collector, or: Board'],
    ])
        ->and(MachineRows::of($of)[5]->remedy)->toContain('Write that version again')
        ->and(MachineRows::of($of)[2]->expected?->tolerance)->toBe(0.01)
        ->and(array_filter(MachineRows::of($of), fn (Evidence $one) => $one->remedy === ''))->toBe([]);
});

it('has none for what nobody knows, and says what is only in the catalogue', function () {
    expect(MachineRows::of(new Promises(promisedMachine())))->toBe([]);
    $of = new Promises(
        promisedMachine(['threads' => 16, 'memory_bytes' => 2 ** 34], source: Source::Catalogue),
        firmware: '1.14',
    );
    $table = asTable(MachineRows::of($of));
    expect(array_column($table, 3))->toBe(['catalogue', 'catalogue', 'reading'])
        ->and(array_column($table, 4))->toBe(['', '', ''])
        ->and(MachineRows::of($of)[2]->remedy)->toContain('Nothing was to change it');
});

it('has a row for every device inside, whatever was plugged in by chance', function () {
    $devices = [
        new Device('Chipset', 'pci:4f51:0c80', 'chipset', status: 'OK'),
        new Device('Wireless', 'pci:51a2:0202', 'network', status: 'no driver'),
        new Device('Sound', 'pci:46e1:0a10', 'audio', status: 'no driver'),
        new Device('Old card', 'pci:46e1:7700', 'graphics'),
        new Device('A stick', 'usb:1234:0001', 'other'),
    ];
    $of = new Promises(
        promisedMachine(devices: $devices),
        versions: ['pci:46e1:0a10' => '6.0.3', 'pci:4f51:9900' => '32.1'],
        bare: ['pci:4f51:0c80'],
        gone: ['pci:46e1:7700'],
        come: ['pci:4f51:9900' => 'New card'],
        lanes: 16,
        reads: new SystemReads(false, ['devices' => 'List']),
    );
    expect(asTable(DeviceRows::of($of)))->toBe([
        // Nothing is known for it: with or without a driver is right.
        'device.pci:4f51:0c80' => ['Chipset, pci:4f51:0c80', 'choice', 'driven|bare', 'plan', 'List'],
        'device.pci:51a2:0202' => ['Wireless, pci:51a2:0202', 'choice', 'driven|bare', 'plan', 'List'],
        'device.pci:46e1:0a10' => [
            'Sound, pci:46e1:0a10: version of its driver', 'text', '6.0.3', 'plan', 'List',
        ],
        'device.pci:46e1:7700' => [
            'Old card, pci:46e1:7700, which was to leave', 'choice', 'missing', 'plan', 'List',
        ],
        'device.pci:4f51:9900' => [
            'New card, pci:4f51:9900: version of its driver', 'text', '32.1', 'plan', 'List',
        ],
        'link.pci:4f51:9900' => ['Lanes of the link of New card', 'count', '16', 'plan', 'List'],
    ])
        ->and(array_keys(DeviceRows::of($of)[0]->options))->toBe(['driven', 'bare', 'missing', 'not read'])
        ->and(array_keys(DeviceRows::of($of)[3]->options))->toBe(['missing', 'bare', 'driven', 'not read'])
        ->and(DeviceRows::of($of)[5]->expected?->atLeast)->toBeTrue();
});

it('has no link where nobody knows its lanes, and a card once though it was read before', function () {
    $devices = [new Device('New card', 'pci:4f51:9900', 'graphics', status: 'OK')];
    $of = new Promises(promisedMachine(devices: $devices), come: ['pci:4f51:9900' => 'New card']);
    expect(array_keys(asTable(DeviceRows::of($of))))->toBe(['device.pci:4f51:9900']);
});

it('asks the system for what it says of itself, and less after firmware alone', function () {
    $of = new Promises(
        promisedMachine(),
        settings: [new PromisedSetting('secure_boot', 'Secure Boot', 'on'), new PromisedSetting('order', 'Order', 'a')],
        encrypted: true,
        build: 7200,
        activates: true,
        reads: new SystemReads(true, ['clock' => 'Time', 'firmware' => 'Board']),
    );
    expect(asTable(SystemRows::of($of, ProofScope::Whole)))->toBe([
        'setting.secure_boot' => [
            'Secure Boot, in the setup', 'text', 'on', 'plan', 'the collector, or: Board',
        ],
        'setting.order' => ['Order, in the setup', 'text', 'a', 'plan', 'Board'],
        'encryption' => ['Drive of the system', 'choice', 'on', 'plan', 'the collector'],
        'build' => ['Build of the system', 'build', '7200', 'plan', ''],
        'activated' => ['The system says that it is activated', 'choice', 'yes', 'plan', ''],
        'sleep' => ['Sleep and waking up', 'choice', 'works|none', 'plan', ''],
        'clock' => ['Clock and time zone are right', 'choice', 'yes', 'plan', 'Time'],
    ])
        ->and(array_keys(asTable(SystemRows::of($of, ProofScope::Firmware))))
        ->toBe(['setting.secure_boot', 'setting.order', 'encryption', 'clock'])
        ->and(array_keys(asTable(SystemRows::of(new Promises(promisedMachine()), ProofScope::System))))
        ->toBe(['sleep', 'clock'])
        ->and(asTable(SystemRows::of(new Promises(promisedMachine(), encrypted: false), ProofScope::Whole)))
        ->toHaveKey('encryption.2', 'off');
});

it('makes names of fields out of readings that cannot harm', function () {
    expect(RowId::device('pci:4f51:5500'))->toBe('device.pci:4f51:5500')
        ->and(RowId::device("x\"><b> [y]\n"))->toBe('device.x-b-y-')
        ->and(RowId::setting('boot_mode'))->toBe('setting.boot_mode')
        ->and(strlen(RowId::link(str_repeat('a', 300))))->toBe(85)
        ->and(RowId::drive(new Drive('/dev/x', Bytes::of(1))))->toBeNull()
        ->and(RowId::drive(new Drive('/dev/x', Bytes::of(1), wwn: '0x5')))->toBe('drive.0x5');
});
