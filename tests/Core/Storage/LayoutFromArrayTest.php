<?php

use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Guid;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\LayoutBuilder;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\PartitionRequest;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;

/** @return array<string, mixed> */
function layoutData(Scheme $scheme = Scheme::Gpt, SectorSize $sector = SectorSize::B512): array
{
    return LayoutBuilder::build(
        $scheme,
        $sector,
        Bytes::mebi(2000),
        [
            new PartitionRequest(
                'installer',
                PartitionType::BasicData,
                Bytes::mebi(600),
                'fat32',
                'installer',
                $scheme === Scheme::Mbr,
            ),
            new PartitionRequest('storage', PartitionType::BasicData, null, 'exfat', 'data'),
        ],
        'from array',
    )->toArray();
}

it('comes back from its own data', function (Scheme $scheme, SectorSize $sector) {
    $data = json_decode(json_encode(layoutData($scheme, $sector)), true);
    $layout = Layout::fromArray([...$data, 'more' => 'is left alone']);
    expect($layout->toArray())
        ->toEqual(layoutData($scheme, $sector))
        ->and($layout->partitions[0]->fat32?->toArray())
        ->toBe($data['partitions'][0]['fat32'])
        ->and($layout->partitions[1]->fat32)
        ->toBeNull();
})->with([[Scheme::Gpt, SectorSize::B512], [Scheme::Mbr, SectorSize::B512], [Scheme::Gpt, SectorSize::B4096]]);

it('is refused where a figure does not agree', function (Closure $change, string $says) {
    expect(fn () => Layout::fromArray($change(layoutData())))->toThrow(LayoutImpossible::class, $says);
})->with([
    [fn ($d) => [...$d, 'scheme' => 'apm'], 'This is no layout'],
    [fn ($d) => array_diff_key($d, ['scheme' => 1]), 'This is no layout'],
    [fn ($d) => [...$d, 'sector_bytes' => 1000], 'This is no layout'],
    [fn ($d) => [...$d, 'device_bytes' => -1], 'This is no layout'],
    [fn ($d) => [...$d, 'disk_guid' => 'no guid'], 'is not a GUID'],
    [fn ($d) => [...$d, 'device_sectors' => 5], 'do not agree'],
    [fn ($d) => [...$d, 'out_of_reach_bytes' => 5], 'do not agree'],
    [fn ($d) => [...$d, 'partitions' => []], 'do not agree'],
    [
        fn ($d) => array_replace_recursive($d, ['partitions' => [['first_sector' => 33]]]),
        'partition 1 overlaps another or leaves the device',
    ],
    [
        fn ($d) => array_replace_recursive($d, ['partitions' => [1 => ['first_sector' => 2048]]]),
        'partition 2 overlaps another',
    ],
    [
        fn ($d) => array_replace_recursive($d, ['partitions' => [1 => ['sectors' => 99_999_999]]]),
        'partition 2 overlaps another or leaves the device',
    ],
    [fn ($d) => array_replace_recursive($d, ['partitions' => [['sectors' => 0]]]), 'This is no layout'],
    [fn ($d) => array_replace_recursive($d, ['partitions' => [['type' => 'x']]]), 'This is no layout'],
    [fn ($d) => array_replace_recursive($d, ['partitions' => [['bytes' => 1]]]), 'do not agree'],
    [fn ($d) => array_replace_recursive($d, ['partitions' => [['fat32' => ['clusters' => 1]]]]), 'do not agree'],
    [fn ($d) => [...$d, 'partitions' => ['text']], 'This is no layout'],
]);

it('reads a GUID back from its bytes', function () {
    $guid = Guid::of('C12A7328-F81F-11D2-BA4B-00A0C93EC93B');
    expect(bin2hex($guid->bytes()))
        ->toBe('28732ac11ff8d211ba4b00a0c93ec93b')
        ->and(Guid::fromBytes($guid->bytes()))
        ->toEqual($guid)
        ->and(fn () => Guid::fromBytes('short'))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => Guid::fromBytes(str_repeat('x', 17)))
        ->toThrow(InvalidArgumentException::class);
});
