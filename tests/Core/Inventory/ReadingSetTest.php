<?php

use Cobblestone\Inventory\Reading;
use Cobblestone\Inventory\ReadingSet;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\HealthReading;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Quantity\Bytes;

function healthOf(string $serial, ?string $at, int $pending = 0): Reading
{
    return new Reading(
        'smartctl',
        'x',
        $at,
        health: [new HealthReading($serial, "Model {$serial}", 'ata', [197 => $pending], null, null, null, $at)],
    );
}

it('keeps everything a reading says, and nothing it does not', function () {
    $health = new HealthReading('S-1', 'Saltmarsh', 'ata', [5 => 1], true, false, 9, '2026-11-24T08:00Z');
    $reading = new Reading(
        'lshw',
        'a.json',
        '2026-11-24T09:00Z',
        ['cores' => 8],
        [new Device('V5', 'pci:4f51:5500', 'graphics')],
        [new MemoryModule('A', Bytes::of(1024))],
        [$health],
        ['a note'],
        '{"blockdevices":[]}',
    );
    $entry = [
        'tool' => 'lshw',
        'origin' => 'a.json',
        'at' => '2026-11-24T09:00Z',
        'facts' => ['cores' => 8],
        'devices' => [['name' => 'V5', 'id' => 'pci:4f51:5500', 'family' => 'graphics']],
        'modules' => [['slot' => 'A', 'bytes' => 1024]],
        'health' => [
            [
                'serial' => 'S-1',
                'model' => 'Saltmarsh',
                'kind' => 'ata',
                'figures' => [5 => 1],
                'passed' => true,
                'rotating' => false,
                'bytes' => 9,
                'at' => '2026-11-24T08:00Z',
            ],
        ],
        'notes' => ['a note'],
        'lsblk' => '{"blockdevices":[]}',
    ];
    expect($reading->toArray())->toBe($entry);
    expect(Reading::fromArray($entry))->toEqual($reading);
    expect((new Reading('lshw', 'x'))->toArray())->toBe(['tool' => 'lshw', 'origin' => 'x']);
    expect(Reading::fromArray(['tool' => 'lshw']))->toEqual(new Reading('lshw', 'brief'));
});

it('is empty only where nothing at all was understood', function (Reading $reading, bool $empty) {
    expect($reading->isEmpty())->toBe($empty);
})->with([
    [new Reading('lshw', 'x', '2026-11-24T09:00Z', notes: ['not understood']), true],
    [new Reading('lshw', 'x', facts: ['cores' => 1]), false],
    [new Reading('lspci', 'x', devices: [new Device('a', 'pci:0001:0001', 'other')]), false],
    [new Reading('dmidecode', 'x', modules: [new MemoryModule('A', null)]), false],
    [new Reading('lsblk', 'x', lsblk: '{}'), false],
]);

it('takes the caller\'s origin, and the caller\'s time only where the text states none', function () {
    $from = healthOf('S-1', null)->from('drive.json', '2026-11-24T16:00Z');
    expect([$from->origin, $from->at, $from->health[0]->at])->toBe([
        'drive.json',
        '2026-11-24T16:00Z',
        '2026-11-24T16:00Z',
    ]);
    $stated = healthOf('S-1', '2026-11-01T08:00Z')->from('drive.json', '2026-11-24T16:00Z');
    expect([$stated->at, $stated->health[0]->at])->toBe(['2026-11-01T08:00Z', '2026-11-01T08:00Z']);
    $never = healthOf('S-1', null)->from('drive.json', null);
    expect([$never->at, $never->health[0]->at])->toBe([null, null]);
});

it('tells readings apart by tool, and drives by serial and time', function () {
    expect((new Reading('lshw', 'x', '2026-11-24T09:00Z'))->key())->toBe('lshw');
    expect(healthOf('S-1', '2026-11-24T09:00Z')->key())->toBe('smartctl S-1 2026-11-24T09:00Z');
    expect(healthOf('S-1', null)->key())->toBe('smartctl S-1 ');
});

it('takes the same figures of a drive once a day, and again the next day', function () {
    $first = healthOf('S-1', '2026-11-24T09:00Z');
    $merge = fn (Reading ...$added): array => ReadingSet::merge([$first], $added)->new;
    expect($merge(healthOf('S-1', '2026-11-24T18:00Z')))->toBe([]);
    expect($merge(healthOf('S-1', '2026-11-25T09:00Z')))->toBe(['smartctl of Model S-1']);
    expect($merge(healthOf('S-1', '2026-12-24T09:00Z')))->toBe(['smartctl of Model S-1']);
    expect($merge(healthOf('S-1', '2026-11-24T18:00Z', 3)))->toBe(['smartctl of Model S-1']);
    expect($merge(healthOf('S-2', '2026-11-24T09:00Z')))->toBe(['smartctl of Model S-2']);
    expect($merge(healthOf('S-1', null)))->toBe(['smartctl of Model S-1']);
    expect(ReadingSet::merge([healthOf('S-1', null)], [healthOf('S-1', null)])->new)->toBe([]);
});

it('names a tool once that brought several new readings, and passes over what is known or empty', function () {
    $known = new Reading('lshw', 'a', '2026-11-24T09:00Z', ['cores' => 8]);
    $set = ReadingSet::merge(
        [$known],
        [
            new Reading('lspci', 'x'),
            new Reading('lshw', 'b', '2026-11-25T09:00Z', ['cores' => 8]),
            healthOf('S-1', '2026-11-24T09:00Z'),
            healthOf('S-1', '2026-11-25T09:00Z'),
            new Reading('dmidecode', 'c', facts: ['cores' => 8]),
        ],
    );
    expect($set->new)->toBe(['smartctl of Model S-1', 'dmidecode']);
    expect(array_map(fn (Reading $reading): string => $reading->tool, $set->readings))->toBe([
        'lshw',
        'smartctl',
        'smartctl',
        'dmidecode',
    ]);
    expect($set->readings[0]->origin)->toBe('a');
    expect($set->toArray()[0])->toBe([
        'tool' => 'lshw',
        'origin' => 'a',
        'at' => '2026-11-24T09:00Z',
        'facts' => ['cores' => 8],
    ]);
});

it('puts a newer reading last, in the place of the older one of its kind', function () {
    $set = ReadingSet::merge(
        [new Reading('lshw', 'a', facts: ['cores' => 4]), new Reading('lspci', 'b', facts: ['x' => 1])],
        [new Reading('lshw', 'c', facts: ['cores' => 8])],
    );
    expect(array_map(fn (Reading $reading): string => $reading->origin, $set->readings))->toBe(['b', 'c']);
    expect($set->new)->toBe(['lshw']);
});
