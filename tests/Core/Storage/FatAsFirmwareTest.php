<?php

use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\StringSource;
use Tests\Support\Images;

it('is taken by firmware without the mark that people go by', function (string $bits) {
    $bytes = Images::bytes("fat{$bits}.img");
    $bare = substr_replace(substr_replace($bytes, "\0\0", 510, 2), "\0\0\0", 0, 3);
    expect(FatVolume::open(new StringSource($bare)))->toBeNull()
        ->and(FatVolume::asFirmware(new StringSource($bare))?->find('EFI/BOOT')?->directory)->toBeTrue()
        // No sectors a cluster: that is no volume to anybody.
        ->and(FatVolume::asFirmware(new StringSource(substr_replace($bare, "\0", 13, 1))))->toBeNull()
        ->and(FatVolume::asFirmware(new StringSource('')))->toBeNull();
})->with(['12', '16', '32']);

it('knows a folder whose chain of clusters has no end', function (string $bits) {
    $bytes = Images::bytes("fat{$bits}.img");
    $volume = FatVolume::asFirmware(new StringSource($bytes));
    $folder = $volume?->find('EFI/BOOT');
    expect($volume?->isWhole(null))->toBeTrue()->and($volume->isWhole($folder))->toBeTrue();
    $table = $volume->geometry['reserved'] * 512;
    $with = fn (string $sign): ?FatVolume => FatVolume::asFirmware(
        new StringSource(substr_replace($bytes, str_repeat($sign, 512), $table, 512)),
    );
    $broken = $with("\0");
    expect($broken?->isWhole($broken->find('EFI/BOOT')))->toBeFalse()
        // Beyond the last cluster: firmware takes that for an end.
        ->and($with("\xEE")?->isWhole($folder))->toBeTrue()
        // The root of the older kinds has a place of its own and no chain.
        ->and($broken->isWhole(null))->toBe($bits !== '32');
})->with(['12', '16', '32']);
