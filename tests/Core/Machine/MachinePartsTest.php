<?php

use Cobblestone\Machine\Battery;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\HealthReading;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Port;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Demo;

it('keeps all of a memory module, and only what is known of it', function () {
    $full = [
        'slot' => 'Slot A',
        'bytes' => 8_589_934_592,
        'type' => 'DDR4',
        'maker' => 'Quarrel',
        'part' => 'QM8',
        'serial' => '7A',
        'rated_mt_s' => 3200,
        'set_mt_s' => 2933,
        'soldered' => true,
    ];
    expect(MemoryModule::fromArray($full)->toArray())->toBe($full);
    expect(MemoryModule::fromArray($full)->title())->toBe('Slot A, 8.0 GiB QM8');
    expect(MemoryModule::fromArray(['slot' => 'B'])->toArray())->toBe(['slot' => 'B']);
    expect(MemoryModule::fromArray(['slot' => 'B'])->isEmpty())->toBeTrue();
    expect(MemoryModule::fromArray(['slot' => 'B'])->title())->toBe('B, empty');
    expect(MemoryModule::fromArray(['slot' => 'B', 'bytes' => 1024])->title())->toBe('B, 1.0 KiB');
    expect(MemoryModule::fromArray(['slot' => 'B', 'bytes' => 1024])->isEmpty())->toBeFalse();
});

it('keeps all of a health reading, with figures it lacks absent and not zero', function () {
    $full = [
        'serial' => 'S-1',
        'model' => 'Saltmarsh',
        'kind' => 'ata',
        'figures' => [5 => 8, 197 => 0],
        'passed' => false,
        'rotating' => true,
        'bytes' => 500,
        'at' => '2026-11-24T16:00Z',
    ];
    $reading = HealthReading::fromArray($full);
    expect($reading->toArray())->toBe($full);
    expect($reading->figure('197'))->toBe(0);
    expect($reading->figure('198'))->toBeNull();
    $bare = HealthReading::fromArray(['serial' => 'S-1', 'model' => 'm', 'kind' => 'unknown']);
    expect($bare->toArray())->toBe(['serial' => 'S-1', 'model' => 'm', 'kind' => 'unknown']);
    expect($bare->passed)->toBeNull();
    expect($bare->rotating)->toBeNull();
});

it('keeps all of a device, its numbers in small letters', function () {
    $device = Device::fromArray([
        'name' => 'V5',
        'id' => 'PCI:4F51:5500',
        'family' => 'graphics',
        'subsystem' => '4e52:0013',
        'status' => 'OK',
    ]);
    expect($device->toArray())->toBe([
        'name' => 'V5',
        'id' => 'pci:4f51:5500',
        'family' => 'graphics',
        'subsystem' => '4e52:0013',
        'status' => 'OK',
    ]);
    expect($device->bus())->toBe('pci');
    expect(Device::fromArray(['name' => 'x', 'id' => 'usb:1:2', 'family' => 'other'])->toArray())
        ->toBe(['name' => 'x', 'id' => 'usb:1:2', 'family' => 'other']);
});

it('takes a port to be of an ordinary speed and no charger unless it says so', function () {
    $plain = Port::fromArray(['id' => 'a', 'connector' => 'usb-a', 'where' => 'left']);
    expect([$plain->id, $plain->connector, $plain->where, $plain->megabitsPerSecond, $plain->charges])
        ->toBe(['a', 'usb-a', 'left', 5000, false]);
    $said = Port::fromArray([
        'id' => 'c',
        'connector' => 'usb-c',
        'where' => 'right',
        'megabits_per_second' => 480,
        'charges' => true,
    ]);
    expect([$said->megabitsPerSecond, $said->charges])->toBe([480, true]);
});

it('counts what a worn cell holds', function () {
    $cell = Battery::fromArray(['design_wh' => 50, 'draw_w' => 12, 'health' => 0.8, 'usable' => 0.7]);
    expect($cell->present()->milliwattHours)->toBe(40_000);
    expect($cell->draw?->milliwatts)->toBe(12_000);
    expect($cell->usable)->toBe(0.7);
    $fresh = Battery::fromArray(['design_wh' => 50]);
    expect([$fresh->present()->milliwattHours, $fresh->draw, $fresh->usable])->toBe([50_000, null, 0.9]);
});

it('counts a drive\'s sectors whole, and calls it by its model and size', function () {
    $drive = new Drive('sda', Bytes::of(4_096_000 + 4095), model: 'Saltmarsh NV-3', logicalSector: 4096);
    expect($drive->sectors())->toBe(1000);
    expect($drive->title())->toBe('Saltmarsh NV-3 · 4.1 MB');
    expect((new Drive('sda', Bytes::of(1024)))->sectors())->toBe(2);
    expect((new Drive('sda', Bytes::of(1024)))->title())->toBe('Drive · 1.0 kB');
});

it('tells a machine of the catalogue from one nobody has described', function () {
    $port = Port::fromArray(['id' => 'a', 'connector' => 'usb-c', 'where' => 'left']);
    $inside = new Drive('nvme0n1', Bytes::of(1), transport: 'nvme');
    $machine = new Machine(
        'x',
        Kind::Laptop,
        FactSheet::empty(),
        [new Drive('sda', Bytes::of(1), transport: 'usb'), $inside],
        [$port],
        model: Demo::catalogue()->machine('norrel-fairlead-13'),
    );
    expect($machine->isCatalogued())->toBeTrue();
    expect($machine->internalDrives())->toBe([$inside]);
    expect($machine->hasSinglePort())->toBeTrue();
    expect($machine->fact('anything')->isUnknown())->toBeTrue();
    $unknown = new Machine('x', Kind::Any, FactSheet::empty(), ports: [$port, $port]);
    expect([
        $unknown->isCatalogued(),
        $unknown->hasSinglePort(),
        (new Machine('x', Kind::Any, FactSheet::empty()))->hasSinglePort(),
    ])
        ->toBe([false, false, false]);
});
