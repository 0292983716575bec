<?php

use Cobblestone\Media\Build\FatNames;
use Cobblestone\Media\Build\SplitCheck;

it('says which names FAT cannot take', function (string $path, string $why) {
    expect(FatNames::faults([$path]))->toBe($why === '' ? [] : ["\"{$path}\" {$why}."]);
})->with([
    ['EFI/BOOT/BOOTX64.EFI', ''],
    ['a folder/ümlaut & (1) [x].txt', ''],
    ['a?b', 'has a character that FAT does not take'],
    ['a:b', 'has a character that FAT does not take'],
    ['x/con*', 'has a character that FAT does not take'],
    ['a"b', 'has a character that FAT does not take'],
    ['a|b', 'has a character that FAT does not take'],
    ['a<b', 'has a character that FAT does not take'],
    ['a\\b', 'has a character that FAT does not take'],
    ['ends.', 'ends with a dot or a space'],
    ['ends /x', 'ends with a dot or a space'],
    ['../x', 'leads outside or nowhere'],
    ['a//b', 'leads outside or nowhere'],
    ['./a', 'leads outside or nowhere'],
    [str_repeat('n', 255), ''],
]);

it('says which names are too long, broken or alike', function () {
    expect(FatNames::faults([str_repeat('n', 256)])[0])->toContain('more than 255 characters')
        ->and(FatNames::faults([str_repeat('𝄞', 128)])[0])->toContain('more than 255 characters')
        ->and(FatNames::faults([str_repeat('𝄞', 127)]))->toBe([])
        ->and(FatNames::faults(["bad\xFF"])[0])->toContain('is not written in UTF-8')
        ->and(FatNames::faults(['Read.me', 'READ.ME']))->toBe([
            '"READ.ME" differs from another only in upper and lower case.',
        ])
        ->and(FatNames::faults(array_map(fn ($i) => "{$i}?", range(1, 30))))->toHaveCount(10)
        ->and(FatNames::faults(["line\nbreak"])[0])->toBe('"line?break" has a character that FAT does not take.');
});

it('judges parts, whoever cut them', function (array $files, array $faults) {
    expect(SplitCheck::faults($files, 'p/s%d.bin', 'p/s.bin', 1_000_000))->toBe($faults);
})->with([
    [['p/s1.bin' => 600_000, 'P/S2.BIN' => 400_000, 'p/other' => 5], []],
    [['p/s1.bin' => 1_020_000], []],
    [['p/s1.bin' => 980_000], []],
    [['p/s1.bin' => 1_020_001], ['Together the parts have 1020001 B, the whole has 1000000 B.']],
    [['p/s1.bin' => 979_999], ['Together the parts have 979999 B, the whole has 1000000 B.']],
    [['p/s1.bin' => 500_000, 'p/s3.bin' => 500_000], ['The parts are numbered 1, 3: one is missing.']],
    [['p/s2.bin' => 1_000_000], ['The parts are numbered 2: one is missing.']],
    [['p/s1.bin' => 1_000_000, 'p/s2.bin' => 0], ['Part 2 has 0 B; a FAT32 file has 1 to 4294967295 B.']],
    [['p/s.bin' => 1_000_000, 'p/s1.bin' => 1_000_000], ['p/s.bin is on the stick as a whole too.']],
    [['p/x' => 1], ['There is no part of it.']],
]);

it('knows a part that no FAT32 file can hold', function () {
    expect(SplitCheck::faults(['a1' => 4_294_967_296], 'a%d', 'a', 4_294_967_296))
        ->toBe(['Part 1 has 4294967296 B; a FAT32 file has 1 to 4294967295 B.'])
        ->and(SplitCheck::faults(['a1' => 4_294_967_295], 'a%d', 'a', 4_294_967_295))->toBe([])
        ->and(SplitCheck::isPart('A12', 'a%d'))->toBeTrue()->and(SplitCheck::isPart('ab', 'a%d'))->toBeFalse();
});
