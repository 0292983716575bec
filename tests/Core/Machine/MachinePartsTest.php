<?php

use Cobblestone\Machine\Battery;
use Cobblestone\Machine\Certainty;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\HealthReading;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Port;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Demo;

it('ranks sources, and knows only what somebody saw at the machine', function (Source $source, int $rank, Certainty $certainty) {
    expect($source->rank())->toBe($rank);
    expect($source->certainty())->toBe($certainty);
})->with([
    [Source::Settled, 4, Certainty::Known],
    [Source::Reading, 3, Certainty::Known],
    [Source::Person, 3, Certainty::Known],
    [Source::Catalogue, 2, Certainty::Assumed],
    [Source::KindDefault, 1, Certainty::Assumed],
]);

it('knows which kinds are carried and how each is called', function (Kind $kind, bool $portable, string $title) {
    expect($kind->isPortable())->toBe($portable);
    expect($kind->title())->toBe($title);
})->with([[Kind::Desktop, false, 'desktop'], [Kind::Laptop, true, 'laptop'], [Kind::Handheld, true, 'handheld'], [Kind::Sealed, false, 'sealed'], [Kind::Any, false, 'any machine']]);

it('finds no contradiction in case, spaces or the kind of number', function (mixed $first, mixed $second, int $contradictions) {
    $sheet = FactSheet::empty()->with(Fact::of('x', $first, Source::Catalogue, 'a'))->with(Fact::of('x', $second, Source::Reading, 'b'));
    expect($sheet->contradictions)->toHaveCount($contradictions);
})->with([
    ['Norrel', 'NORREL ', 0],
    ['8', 8, 0],
    [8, 8.0, 0],
    ['ÉCLUSE', 'écluse', 0],
    ['8', 9, 1],
    [['a', 'b'], ['a', 'b'], 0],
    [['a', 'b'], ['b', 'a'], 1],
    [['a'], 'a', 1],
    ['a', ['a'], 1],
]);

it('leaves two equal sources to a person, and unequal ones to the rule', function () {
    $sheet = FactSheet::empty()->with(Fact::of('x', 1, Source::Reading, 'lshw'))->with(Fact::of('x', 2, Source::Person, 'Ida'));
    expect($sheet->open())->toHaveCount(1);
    expect($sheet->open()[0]->spoken())->toBe('x: Ida says 2, lshw said 1. The newer one is used until somebody says which is right.');
    $ruled = FactSheet::empty()->with(Fact::of('x', 1, Source::Reading, 'lshw'))->with(Fact::of('x', 2, Source::Catalogue, 'the model'));
    expect($ruled->open())->toBe([]);
    expect($ruled->contradictions[0]->spoken())->toBe('x: lshw says 1, the model said 2. The first is used: it outranks the other.');
    expect($ruled->contradictions[0]->toArray())->toBe([
        'fact' => 'x',
        'kept' => ['name' => 'x', 'value' => 1, 'certainty' => 'known', 'source' => 'reading', 'origin' => 'lshw', 'at' => null],
        'set_aside' => ['name' => 'x', 'value' => 2, 'certainty' => 'assumed', 'source' => 'catalogue', 'origin' => 'the model', 'at' => null],
        'settled_by' => 'rule',
    ]);
});

it('settles every open contradiction of the fact a person decides, and none of another', function () {
    $sheet = FactSheet::empty()
        ->with(Fact::of('x', 1, Source::Reading, 'lshw'))->with(Fact::of('x', 2, Source::Reading, 'dmidecode'))
        ->with(Fact::of('y', 1, Source::Reading, 'lshw'))->with(Fact::of('y', 2, Source::Reading, 'dmidecode'))
        ->with(Fact::of('x', 1, Source::Settled, 'Ida'));
    expect($sheet->get('x')->value)->toBe(1);
    expect(array_map(fn ($one) => $one->kept->name, $sheet->open()))->toBe(['y']);
    expect($sheet->contradictions)->toHaveCount(2);
    expect($sheet->contradictions[0]->setAside->value)->toBe(2);
    expect($sheet->contradictions[0]->spoken())->toBe('x: Ida says 1, dmidecode said 2. Settled by Ida.');
    expect($sheet->contradictions[0]->settledBy)->toBe('person');
});

it('sets the newer value aside when the person keeps neither order', function () {
    $kept = FactSheet::empty()->with(Fact::of('x', 1, Source::Reading, 'lshw'))->with(Fact::of('x', 2, Source::Reading, 'dmidecode'))->with(Fact::of('x', 2, Source::Settled, 'Ida'));
    expect($kept->contradictions[0]->setAside->value)->toBe(1);
    $third = FactSheet::empty()->with(Fact::of('x', 1, Source::Reading, 'lshw'))->with(Fact::of('x', 2, Source::Reading, 'dmidecode'))->with(Fact::of('x', 3, Source::Settled, 'Ida'));
    expect($third->contradictions[0]->setAside->value)->toBe(2);
});

it('lets no later reading undo what a person settled', function () {
    $sheet = FactSheet::empty()->with(Fact::of('x', 1, Source::Settled, 'Ida'))->with(Fact::of('x', 2, Source::Reading, 'lshw'));
    expect($sheet->get('x')->value)->toBe(1);
    expect($sheet->open())->toBe([]);
    expect($sheet->contradictions[0]->settledBy)->toBe('person');
});

it('comes back from a stored plan, without what nobody knew', function () {
    $sheet = FactSheet::empty()->with(Fact::of('b', 'on', Source::Reading, 'mokutil', '09:10'))->with(Fact::of('a', 3, Source::Catalogue, 'model'))->with(Fact::unknown('c'));
    $back = FactSheet::fromArray($sheet->toArray());
    expect(array_keys($back->all()))->toBe(['a', 'b']);
    expect($back->get('b'))->toEqual($sheet->get('b'));
    expect($back->get('a')->certainty)->toBe(Certainty::Assumed);
    expect(FactSheet::fromArray([['name' => 'x', 'value' => 1, 'source' => 'rumour', 'origin' => 'y']])->all())->toBe([]);
    expect(FactSheet::fromArray([['name' => 'x', 'value' => 1, 'source' => 'reading', 'origin' => 'y']])->get('x')->at)->toBeNull();
});

it('compares a fact\'s value as it stands', function () {
    $fact = Fact::of('x', '1', Source::Reading, 'a');
    expect($fact->is('1'))->toBeTrue();
    expect($fact->is(1))->toBeFalse();
    expect($fact->isUnknown())->toBeFalse();
});

it('keeps all of a memory module, and only what is known of it', function () {
    $full = ['slot' => 'Slot A', 'bytes' => 8_589_934_592, 'type' => 'DDR4', 'maker' => 'Quarrel', 'part' => 'QM8', 'serial' => '7A', 'rated_mt_s' => 3200, 'set_mt_s' => 2933, 'soldered' => true];
    expect(MemoryModule::fromArray($full)->toArray())->toBe($full);
    expect(MemoryModule::fromArray($full)->title())->toBe('Slot A, 8.0 GiB QM8');
    expect(MemoryModule::fromArray(['slot' => 'B'])->toArray())->toBe(['slot' => 'B']);
    expect(MemoryModule::fromArray(['slot' => 'B'])->isEmpty())->toBeTrue();
    expect(MemoryModule::fromArray(['slot' => 'B'])->title())->toBe('B, empty');
    expect(MemoryModule::fromArray(['slot' => 'B', 'bytes' => 1024])->title())->toBe('B, 1.0 KiB');
    expect(MemoryModule::fromArray(['slot' => 'B', 'bytes' => 1024])->isEmpty())->toBeFalse();
});

it('keeps all of a health reading, with figures it lacks absent and not zero', function () {
    $full = ['serial' => 'S-1', 'model' => 'Saltmarsh', 'kind' => 'ata', 'figures' => [5 => 8, 197 => 0], 'passed' => false, 'rotating' => true, 'bytes' => 500, 'at' => '2026-11-24T16:00Z'];
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
    $device = Device::fromArray(['name' => 'V5', 'id' => 'PCI:4F51:5500', 'family' => 'graphics', 'subsystem' => '4e52:0013', 'status' => 'OK']);
    expect($device->toArray())->toBe(['name' => 'V5', 'id' => 'pci:4f51:5500', 'family' => 'graphics', 'subsystem' => '4e52:0013', 'status' => 'OK']);
    expect($device->bus())->toBe('pci');
    expect(Device::fromArray(['name' => 'x', 'id' => 'usb:1:2', 'family' => 'other'])->toArray())->toBe(['name' => 'x', 'id' => 'usb:1:2', 'family' => 'other']);
});

it('takes a port to be of an ordinary speed and no charger unless it says so', function () {
    $plain = Port::fromArray(['id' => 'a', 'connector' => 'usb-a', 'where' => 'left']);
    expect([$plain->id, $plain->connector, $plain->where, $plain->megabitsPerSecond, $plain->charges])->toBe(['a', 'usb-a', 'left', 5000, false]);
    $said = Port::fromArray(['id' => 'c', 'connector' => 'usb-c', 'where' => 'right', 'megabits_per_second' => 480, 'charges' => true]);
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
    $machine = new Machine('x', Kind::Laptop, FactSheet::empty(), [new Drive('sda', Bytes::of(1), transport: 'usb'), $inside], [$port], model: Demo::catalogue()->machine('norrel-fairlead-13'));
    expect($machine->isCatalogued())->toBeTrue();
    expect($machine->internalDrives())->toBe([$inside]);
    expect($machine->hasSinglePort())->toBeTrue();
    expect($machine->fact('anything')->isUnknown())->toBeTrue();
    $unknown = new Machine('x', Kind::Any, FactSheet::empty(), ports: [$port, $port]);
    expect([$unknown->isCatalogued(), $unknown->hasSinglePort(), (new Machine('x', Kind::Any, FactSheet::empty()))->hasSinglePort()])->toBe([false, false, false]);
});
