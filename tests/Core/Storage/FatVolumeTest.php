<?php

use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\StringSource;
use Cobblestone\Storage\Reading\WindowSource;
use Tests\Support\Images;

function fatText(): string
{
    return implode('', array_map(fn ($i) => sprintf("line %04d\n", $i), range(1, 700)));
}

it('reads what mtools wrote', function (int $width) {
    $volume = FatVolume::open(Images::source("fat{$width}.img"));
    expect($volume->kind)
        ->toBe("fat{$width}")
        ->and($volume->label())
        ->toBe("TEST {$width}")
        ->and($volume->clusterBytes())
        ->toBe(512)
        ->and(array_map(fn ($entry) => $entry->size, $volume->files()))
        ->toEqual([
            'A.BIN' => 3000,
            'C.BIN' => 3000,
            'Long name of a file.txt' => 7000,
            'EFI/BOOT/bootx64.efi' => 1536,
            'deep/ümlaut folder/lower.txt' => 3000,
        ]);
    $text = $volume->find('long NAME of a file.TXT');
    // On FAT12 and FAT16 it went into the hole a deleted file left, and on behind: several runs of clusters.
    expect(count(iterator_to_array($volume->extents($text))))
        ->toBeGreaterThan($width === 32 ? 0 : 1)
        ->and($volume->contents($text, PHP_INT_MAX))
        ->toBe(fatText())
        ->and($volume->contents($text, 600))
        ->toBe(substr(fatText(), 0, 600))
        ->and($volume->contents($volume->find('/C.BIN'), 9999))
        ->toBe(str_repeat('C', 3000))
        ->and($volume->contents($volume->find('EFI/BOOT/BOOTX64.EFI'), 9999))
        ->toBe(Images::bytes('plain.efi'))
        ->and($volume->find('deep/ÜMLAUT Folder/lower.txt')?->size)
        ->toBe(3000)
        ->and($volume->find('LONGNA~1.TXT')?->name)
        ->toBe('Long name of a file.txt')
        ->and($volume->find('EFI')?->directory)
        ->toBeTrue()
        ->and($volume->find('B.BIN'))
        ->toBeNull()
        ->and($volume->find('EFI/BOOT/none'))
        ->toBeNull()
        ->and($volume->find('A.BIN/inside'))
        ->toBeNull();
})->with([12, 16, 32]);

it('counts its geometry from the boot sector', function () {
    expect(FatVolume::open(Images::source('fat32.img'))->geometry)
        ->toBe([
            'sector' => 512,
            'spc' => 1,
            'reserved' => 32,
            'fats' => 2,
            'fat_sectors' => 536,
            'sectors' => 69_632,
            'hidden' => 0,
            'root_at' => 1104,
            'root_bytes' => 0,
            'root_cluster' => 2,
            'data_at' => 1104,
            'clusters' => 68_528,
        ])
        ->and(FatVolume::open(Images::source('fat12.img'))->geometry)
        ->toMatchArray(['sectors' => 2880, 'reserved' => 1, 'root_bytes' => 7168, 'root_cluster' => 0]);
});

it('is no FAT file system when a field cannot be', function (int $at, string $value) {
    $boot = substr(Images::bytes('fat16.img'), 0, 65_536);
    expect(FatVolume::open(new StringSource($boot)))
        ->not->toBeNull()
        ->and(FatVolume::open(new StringSource(substr_replace($boot, $value, $at, strlen($value)))))
        ->toBeNull();
})->with([
    'no jump' => [0, "\0"],
    'no mark' => [510, "\0"],
    'sector of 500' => [11, pack('v', 500)],
    'sector of 8192' => [11, pack('v', 8192)],
    'no cluster' => [13, "\0"],
    'cluster of 3' => [13, "\3"],
    'nothing reserved' => [14, "\0\0"],
    'no tables' => [16, "\0"],
    'three tables' => [16, "\3"],
    'media' => [21, "\xEF"],
    'no sectors' => [19, "\0\0"],
    'no table length' => [22, "\0\0"],
    'data past the end' => [22, "\xFF\x7F"],
]);

it('ends at a chain that bites its tail, and at one that leads away', function () {
    $bytes = Images::bytes('fat16.img');
    $volume = FatVolume::open(new StringSource($bytes));
    $file = $volume->find('Long name of a file.txt');
    $fat = $volume->geometry['reserved'] * 512 + $file->cluster * 2;
    $loop = FatVolume::open(new StringSource(substr_replace($bytes, pack('v', $file->cluster), $fat, 2)));
    $away = FatVolume::open(new StringSource(substr_replace($bytes, pack('v', 0xF000), $fat, 2)));
    $free = FatVolume::open(new StringSource(substr_replace($bytes, pack('v', 0), $fat, 2)));
    expect(strlen($loop->contents($file, PHP_INT_MAX)))
        ->toBe(7000)
        ->and(strlen($away->contents($file, PHP_INT_MAX)))
        ->toBe(512)
        ->and(strlen($free->contents($file, PHP_INT_MAX)))
        ->toBe(512);
    $folder = $volume->find('deep');
    $at = ($volume->geometry['data_at'] + ($folder->cluster - 2)) * 512;
    // A folder that holds itself is walked once.
    $entry = substr_replace(substr($bytes, $at + 96, 32), pack('v', $folder->cluster), 26, 2);
    expect(FatVolume::open(new StringSource(substr_replace($bytes, $entry, $at + 96, 32)))->files())->toHaveCount(4);
});

it('walks no further than it is told', function () {
    $volume = FatVolume::open(Images::source('fat16.img'));
    // The root alone holds more than one file; two of the four folders are then enough to end the walk.
    expect(count($volume->files(1)))
        ->toBe(3)
        ->and(count($volume->files(4)))
        ->toBe(4)
        ->and(count($volume->files(5)))
        ->toBe(5)
        ->and(array_keys($volume->files(2)))
        ->toBe(['A.BIN', 'C.BIN', 'Long name of a file.txt']);
});

it('drops a long name that belongs to another file', function () {
    $bytes = Images::bytes('fat16.img');
    $at = strpos($bytes, 'LONGNA~1TXT');
    $renamed = FatVolume::open(new StringSource(substr_replace($bytes, 'OTHERNAM', $at, 8)));
    expect(array_keys($renamed->files()))->toContain('OTHERNAM.TXT')->not->toContain('Long name of a file.txt');
});

it('reads within a window only', function () {
    $source = new StringSource('0123456789', 12);
    $window = new WindowSource($source, 4, 100);
    expect($window->size())
        ->toBe(8)
        ->and($window->read(0, 3))
        ->toBe('456')
        ->and($window->read(4, 99))
        ->toBe("89\0\0")
        ->and($window->read(8, 1))
        ->toBe('')
        ->and($window->read(-1, 2))
        ->toBe('')
        ->and($window->read(2, 0))
        ->toBe('')
        ->and((new WindowSource($source, 20, 5))->size())
        ->toBe(0)
        ->and((new WindowSource($source, -3, 5))->read(0, 2))
        ->toBe('01')
        ->and((new WindowSource($window, 1, 2))->read(0, 9))
        ->toBe('56')
        ->and($source->read(9, 9))
        ->toBe("9\0\0")
        ->and($source->read(12, 1))
        ->toBe('')
        ->and($source->read(-1, 1))
        ->toBe('')
        ->and($source->read(3, -1))
        ->toBe('');
});
