<?php

use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\StringSource;
use Tests\Support\Images;

it('is taken by firmware without the mark that people go by', function (string $bits) {
    $bytes = Images::bytes("fat{$bits}.img");
    $bare = substr_replace($bytes, "\0\0", 510, 2);
    expect(FatVolume::open(new StringSource($bare)))->toBeNull()
        ->and(FatVolume::asFirmware(new StringSource($bare))?->find('EFI/BOOT')?->directory)->toBeTrue()
        ->and(FatVolume::asFirmware(new StringSource(substr_replace($bare, "\0\0\0", 0, 3))))->toBeNull()
        ->and(FatVolume::asFirmware(new StringSource('')))->toBeNull();
})->with(['12', '16', '32']);

it('knows a folder whose chain of clusters has no end', function (string $bits) {
    $bytes = Images::bytes("fat{$bits}.img");
    $volume = FatVolume::asFirmware(new StringSource($bytes));
    $folder = $volume?->find('EFI/BOOT');
    expect($volume?->isWhole(null))->toBeTrue()->and($volume->isWhole($folder))->toBeTrue();
    $table = $volume->geometry['reserved'] * 512;
    $broken = FatVolume::asFirmware(new StringSource(substr_replace($bytes, str_repeat("\xA5", 512), $table, 512)));
    expect($broken?->isWhole($broken->find('EFI/BOOT')))->toBeFalse()
        // The root of the older kinds has a place of its own and no chain.
        ->and($broken->isWhole(null))->toBe($bits !== '32');
})->with(['12', '16', '32']);
