<?php

use Cobblestone\Media\Inspection\ElTorito;
use Cobblestone\Media\Inspection\OpticalVolume;
use Cobblestone\Storage\Reading\StringSource;

/** @param  list<string>  $entries  of 32 bytes, behind the validation entry */
function catalogueOf(array $entries, ?string $validation = null): ?ElTorito
{
    $first = "\x01\xEF\0\0".str_pad('maker', 24, "\0")."\0\0\x55\xAA";
    $sum = array_sum(unpack('v16', $first)) & 0xFFFF;
    $first = substr_replace($first, pack('v', (0x10000 - $sum) & 0xFFFF), 28, 2);
    $record = str_pad("\0CD001\x01".str_pad('EL TORITO SPECIFICATION', 64, "\0").pack('V', 20), 2048, "\0");
    $image = str_repeat("\0", 17 * 2048).$record.str_repeat("\0", 2 * 2048)
        .str_pad(($validation ?? $first).implode('', $entries), 2048, "\0").str_repeat("\0", 40 * 2048);

    return ElTorito::read(new StringSource($image));
}

function bootEntry(int $mark, int $count, int $block, int $media = 0): string
{
    return str_pad(chr($mark).chr($media)."\0\0\0\0".pack('vV', $count, $block), 32, "\0");
}

it('reads every entry of a boot catalogue and no more', function () {
    $section = fn (int $mark, int $platform) => str_pad(chr($mark).chr($platform)."\1\0", 32, "\0");
    $read = catalogueOf([
        bootEntry(0x88, 4, 30),
        $section(0x90, 0x00),
        bootEntry(0x88, 8, 31),
        str_pad("\x44", 32, "\0"),
        $section(0x91, 0x01),
        bootEntry(0x88, 1, 32, 0x12),
        $section(0x90, 0xEF),
        bootEntry(0x88, 1, 33),
    ]);
    expect(array_map(
        fn ($e) => [$e['platform'], $e['bootable'], $e['media'], $e['at'], $e['bytes'], $e['measured']],
        $read->entries,
    ))
        ->toBe([
            ['UEFI', true, 0, 61_440, 2048, false],
            ['BIOS', true, 0, 63_488, 4096, false],
            ['PowerPC', true, 2, 65_536, 512, false],
        ])
        ->and($read->faults)->toBe([])
        ->and($read->starts('UEFI'))->toBeTrue()
        ->and($read->starts('PowerPC'))->toBeTrue()
        ->and($read->starts('older 68k'))->toBeFalse();
    expect(catalogueOf([bootEntry(0x00, 4, 30)]))->entries->toHaveCount(1)->starts('UEFI')->toBeFalse()
        ->and(catalogueOf([bootEntry(0x88, 4, 30), bootEntry(0x00, 4, 31)])->entries)->toHaveCount(1)
        ->and(catalogueOf([bootEntry(0x88, 0, 30)])->starts('UEFI'))->toBeFalse()
        ->and(catalogueOf([$section(0x91, 0x77), bootEntry(0x88, 1, 30)])->entries[0]['platform'])
        ->toBe('platform 0x77')
        ->and(catalogueOf(array_fill(0, 63, bootEntry(0x88, 1, 30)))->entries)->toHaveCount(63);
});

it('says what is wrong with a boot catalogue', function () {
    expect(catalogueOf([], str_repeat("\0", 32))->faults)->toBe([
        'The boot catalogue in block 20 is missing or damaged.',
    ])
        ->and(catalogueOf([], "\x01\xEF\0\0".str_pad('maker', 24, "\0")."\0\0\x55\xAA")->faults)
        ->toBe(['The checksum of the boot catalogue does not match.'])
        ->and(catalogueOf([bootEntry(0x88, 4, 61)])->faults)->toBe([
            'The UEFI start image is said to be at byte 124928, past the end of the file.',
        ])
        ->and(catalogueOf([bootEntry(0x88, 4, 60)])->faults)->toBe([])
        ->and(catalogueOf([bootEntry(0x88, 400, 60)])->entries[0]['bytes'])->toBe(2048)
        ->and(ElTorito::read(new StringSource(str_repeat("\0", 40_960))))->toBeNull()
        ->and(ElTorito::read(new StringSource('')))->toBeNull();
});

it('reads descriptors as far as they go', function () {
    $descriptor = fn (
        string $mark,
        int $type = 1,
        string $rest = '',
    ) => str_pad(chr($type).$mark."\1".$rest, 2048, "\0");
    $image = fn (string ...$blocks) => OpticalVolume::read(new StringSource(
        str_repeat("\0", 16 * 2048).implode('', $blocks),
        600 * 2048,
    ));
    $iso = str_pad("\1CD001\1", 2048, "\0");
    $iso = substr_replace(
        substr_replace(substr_replace($iso, str_pad('ORRIN 3', 32), 40, 32), pack('V', 600), 80, 4),
        pack('VVV', 22, 0, 2048),
        158,
        12,
    );
    expect($image($iso, $descriptor('CD001', 255))->toArray())
        ->toBe([
            'iso9660' => true,
            'joliet' => false,
            'rock_ridge' => false,
            'udf' => false,
            'label' => 'ORRIN 3',
            'stated_bytes' => 600 * 2048,
        ])
        ->and($image($iso)->root)->toBe(['at' => 22 * 2048, 'bytes' => 2048])
        ->and($image($descriptor('BEA01', 0), $descriptor('NSR02', 0), $descriptor('TEA01', 0)))->toBeNull()
        ->and($image($descriptor('XXXXX')))->toBeNull();
    foreach (['%/@', '%/C', '%/E'] as $escape) {
        $joliet = substr_replace(str_pad("\2CD001\1", 2048, "\0"), $escape, 88, 3);
        expect($image($iso, $joliet)->joliet)->toBeTrue();
    }
    expect($image($iso, substr_replace(str_pad("\2CD001\1", 2048, "\0"), '%/X', 88, 3))->joliet)->toBeFalse()
        ->and(
            $image(
                $iso,
                str_repeat("\0", 2048),
                substr_replace(str_pad("\2CD001\1", 2048, "\0"), '%/@', 88, 3),
            )->joliet,
        )
        ->toBeFalse();
});

it('finds a UDF anchor in each of its places, and believes no other', function (?int $block, bool $udf) {
    $bytes = str_repeat("\0", 16 * 2048).str_pad("\0NSR03\1", 2048, "\0").str_repeat("\0", 600 * 2048 - 17 * 2048);
    $tag = pack('v', 2)."\3\0\0\0".str_repeat("\x11", 10);
    $tag[4] = chr((array_sum(array_map(ord(...), str_split($tag)))) & 0xFF);
    if ($block !== null) {
        $bytes = substr_replace($bytes, $tag, $block * 2048, 16);
    }
    expect(OpticalVolume::read(new StringSource($bytes)) !== null)->toBe($udf);
    if ($udf) {
        expect(OpticalVolume::read(new StringSource(substr_replace($bytes, "\x99", $block * 2048 + 4, 1))))->toBeNull()
            ->and(OpticalVolume::read(new StringSource(substr_replace($bytes, "\3", $block * 2048, 1))))->toBeNull();
    }
})->with([[256, true], [599, true], [599 - 256, true], [600 - 256, true], [300, false], [255, false], [null, false]]);
