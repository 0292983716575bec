<?php

use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Fat32Geometry;
use Cobblestone\Storage\Fat32Need;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\SectorSize;

it('chooses the cluster by volume', function (int $bytes, SectorSize $sector, int $cluster) {
    expect(Fat32Geometry::clusterFor(Bytes::of($bytes), $sector)->count)->toBe($cluster);
})->with(function () {
    $mib = 1_048_576;
    $gib = 1_073_741_824;
    foreach (
        [
            [260 * $mib, 512],
            [260 * $mib + 1, 4096],
            [8 * $gib, 4096],
            [8 * $gib + 1, 8192],
            [16 * $gib, 8192],
            [16 * $gib + 1, 16384],
            [32 * $gib, 16384],
            [32 * $gib + 1, 32768],
        ] as [$bytes, $cluster]
    ) {
        yield [$bytes, SectorSize::B512, $cluster];
    }
    yield [100 * $mib, SectorSize::B4096, 4096];
});

it('keeps bounds and the smallest table on thousands of random volumes', function () {
    mt_srand(7);
    $made = 0;
    for ($i = 0; $i < 5000; $i++) {
        $sector = [SectorSize::B512, SectorSize::B4096][$i % 2];
        $sectors = mt_rand(70_000, 400_000_000);
        try {
            $g = Fat32Geometry::forSectors($sectors, $sector);
        } catch (LayoutImpossible) {
            continue;
        }
        $made++;
        $clusters = fn (int $fat) => intdiv($sectors - 32 - 2 * $fat, $g->sectorsPerCluster);
        $holds = fn (int $fat) => $fat * $sector->value >= 4 * ($clusters($fat) + 2);
        expect($g->clusters)
            ->toBe($clusters($g->fatSectors))
            ->toBeGreaterThanOrEqual(65_525)
            ->toBeLessThanOrEqual(268_435_445)
            ->and($holds($g->fatSectors))
            ->toBeTrue()
            ->and($holds($g->fatSectors - 1))
            ->toBeFalse()
            ->and(32 + 2 * $g->fatSectors + $g->clusters * $g->sectorsPerCluster)
            ->toBeLessThanOrEqual($sectors)
            ->and($g->capacity()->count)
            ->toBe($g->clusters * $g->clusterSize()->count);
    }
    expect($made)->toBeGreaterThan(4000);
});

it('refuses volumes that would not be FAT32', function () {
    expect(fn () => Fat32Geometry::forSectors(60_000, SectorSize::B512))
        ->toThrow(LayoutImpossible::class, 'fewer than 65525')
        ->and(fn () => Fat32Geometry::forSectors(4_294_967_296, SectorSize::B512))
        ->toThrow(LayoutImpossible::class, 'past what FAT32 can count')
        ->and(fn () => Fat32Geometry::withCluster(4_000_000_000, SectorSize::B512, Bytes::of(512)))
        ->toThrow(LayoutImpossible::class, 'past what FAT32 can count');
});

it('finds the very smallest volume', function () {
    $smallest = 65_525 + 32 + 2 * 512;
    expect(Fat32Geometry::forSectors($smallest, SectorSize::B512)->clusters)
        ->toBe(65_525)
        ->and(fn () => Fat32Geometry::forSectors($smallest - 1, SectorSize::B512))
        ->toThrow(LayoutImpossible::class);
});

it('counts directory entries of a name', function (string $name, int $entries) {
    expect(Fat32Need::entriesFor($name))->toBe($entries);
})->with([
    ['EFI', 1],
    ['BOOTX64.EFI', 1],
    ['boot', 2],
    ['ABCDEFGHI', 2],
    ['A.LONG', 2],
    [str_repeat('a', 13), 2],
    [str_repeat('a', 14), 3],
    [str_repeat('ü', 13), 2],
    ['😀😀😀😀😀😀😀', 3],
    ['A B', 2],
]);

it('counts whole clusters, one directory cluster at least, and no cluster for an empty file', function (
    array $files,
    int $clusters,
) {
    expect(Fat32Need::exact($files, Bytes::of(512))->count)->toBe($clusters * 512);
})->with([
    'nothing but the root' => [[], 1],
    'an empty file' => [['A' => 0], 1],
    'one byte' => [['A' => 1], 2],
    'exactly one cluster' => [['A' => 512], 2],
    'one more' => [['A' => 513], 3],
    'a folder' => [['EFI/BOOT/A' => 1], 4],
    'fifteen entries and the label fill the root' => [
        array_fill_keys(array_map(fn ($i) => "F{$i}", range(1, 15)), 0),
        1,
    ],
    'sixteen do not fit' => [array_fill_keys(array_map(fn ($i) => "F{$i}", range(1, 16)), 0), 2],
    'fourteen fit beside dot and dotdot' => [array_fill_keys(array_map(fn ($i) => "D/F{$i}", range(1, 14)), 0), 2],
    'fifteen do not' => [array_fill_keys(array_map(fn ($i) => "D/F{$i}", range(1, 15)), 0), 3],
]);

it('refuses a directory with more entries than FAT holds', function () {
    $files = array_fill_keys(array_map(fn ($i) => "F{$i}", range(1, 65_536)), 0);
    expect(fn () => Fat32Need::exact($files, Bytes::of(512)))->toThrow(LayoutImpossible::class, '65537 entries');
    expect(Fat32Need::exact($files, Bytes::of(512), label: false)->count)->toBe(65_536 * 32);
});

it('never bounds below the exact need', function () {
    mt_srand(11);
    for ($i = 0; $i < 300; $i++) {
        $files = [];
        $directories = [];
        for ($n = mt_rand(1, 80); $n > 0; $n--) {
            $directory = 'dir'.mt_rand(0, 9).(mt_rand(0, 1) ? '/sub'.mt_rand(0, 5) : '');
            $files[$directory.'/'.str_repeat('n', mt_rand(1, 60)).$n] =
                mt_rand(0, 3) === 0 ? 0 : mt_rand(1, 900_000);
        }
        foreach (array_keys($files) as $path) {
            for ($parent = dirname($path); $parent !== '.'; $parent = dirname($parent)) {
                $directories[$parent] = true;
            }
        }
        foreach ([512, 4096, 16384] as $cluster) {
            expect(
                Fat32Need::atMost(
                    count($files),
                    count($directories),
                    Bytes::of(array_sum($files)),
                    Bytes::of($cluster),
                )->count,
            )->toBeGreaterThanOrEqual(Fat32Need::exact($files, Bytes::of($cluster))->count);
        }
    }
});
