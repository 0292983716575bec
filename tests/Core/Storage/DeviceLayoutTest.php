<?php

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\DeviceLayout;
use Cobblestone\Storage\DevicePart;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\LayoutBuilder;
use Cobblestone\Storage\PartitionRequest;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;

function layoutOfTwo(Scheme $scheme, SectorSize $sector): Layout
{
    $files = new PartitionRequest(
        'installer',
        PartitionType::BasicData,
        Bytes::mebi(600),
        'fat32',
        'installer',
        $scheme === Scheme::Mbr,
    );
    $rest = new PartitionRequest('storage', PartitionType::BasicData, null, 'exfat', 'data');

    return LayoutBuilder::build($scheme, $sector, Bytes::mebi(2000), [$files, $rest], 'two');
}

/** @return array<mixed> without what says nothing */
function saying(array $document): array
{
    return array_filter(
        array_map(fn (mixed $one): mixed => is_array($one) ? saying($one) : $one, $document),
        fn (mixed $one): bool => $one !== null && $one !== false && $one !== [] && $one !== '',
    );
}

it('keeps of a layout what the layout says of itself', function (Scheme $scheme, SectorSize $sector) {
    $layout = layoutOfTwo($scheme, $sector);
    $kept = DeviceLayout::of($layout);
    expect($kept->toArray())->toEqual(saying($layout->toArray()))
        ->and($kept->capacityBytes)->toBeNull();
    $need = Bytes::mebi(100);
    $files = DeviceLayout::of($layout, 'PORT', $need);
    expect($files->label)->toBe('PORT')
        ->and($files->needBytes)->toBe($need->count)
        ->and($files->capacityBytes)->toBe($layout->partitions[0]->fat32->capacity()->count)
        ->and($files->partitions[1]->fat32)->toBeNull();
    $again = DeviceLayout::read(Fields::of(json_decode((string) json_encode($files->toArray()), true)));
    expect($again)->toEqual($files);
})->with([[Scheme::Gpt, SectorSize::B512], [Scheme::Mbr, SectorSize::B512], [Scheme::Gpt, SectorSize::B4096]]);

it('writes the code that the table holds', function () {
    $code = fn (Scheme $scheme): array => array_map(
        fn (DevicePart $part): ?string => $part->typeCode,
        DeviceLayout::of(layoutOfTwo($scheme, SectorSize::B512))->partitions,
    );
    expect($code(Scheme::Mbr))->toBe(['0x0C', '0x07'])
        ->and($code(Scheme::Gpt))->toBe(array_fill(0, 2, PartitionType::BasicData->guid()));
});

it('keeps an empty table as one', function () {
    expect((new DeviceLayout('gpt', 512, []))->toArray())->toBe([
        'scheme' => 'gpt',
        'sector_bytes' => 512,
        'partitions' => [],
    ]);
});

it('says of a part only what is known', function () {
    $part = new DevicePart('Old system', '', 2048, 100, 51_200, null, true, true);
    expect($part->toArray())->toBe([
        'name' => 'Old system', 'first_sector' => 2048, 'sectors' => 100, 'bytes' => 51_200, 'stays' => true,
        'encrypted' => true,
    ])
        ->and(DevicePart::read(Fields::of($part->toArray())))->toEqual($part);
});

it('names what does not fit', function (array $spoiled, string $path) {
    $whole = DeviceLayout::of(layoutOfTwo(Scheme::Gpt, SectorSize::B512))->toArray();
    expect(fn () => DeviceLayout::read(Fields::of(array_replace_recursive($whole, $spoiled), 'after')))
        ->toThrow(FieldFault::class, $path);
})->with([
    [['scheme' => 7], 'after.scheme'],
    [['partitions' => [['bytes' => 'many']]], 'after.partitions.0.bytes'],
    [['partitions' => [['fat32' => ['sector_bytes' => 500]]]], 'after.partitions.0.fat32.sector_bytes'],
    [['partitions' => [['fat32' => ['clusters' => 'x']]]], 'after.partitions.0.fat32.clusters'],
    [['disk_guid' => []], 'after.disk_guid'],
]);
