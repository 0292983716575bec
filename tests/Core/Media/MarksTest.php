<?php

use Cobblestone\Media\Inspection\OpticalVolume;
use Cobblestone\Storage\Reading\StringSource;

function isoDescriptor(
    string $label = 'ORRIN 3',
    int $blocks = 600,
    int $root = 22,
    int $rootBytes = 2048,
    int $type = 1,
): string {
    $bytes = str_pad(chr($type)."CD001\1", 2048, "\0");

    return substr_replace(
        substr_replace(substr_replace($bytes, str_pad($label, 32), 40, 32), pack('V', $blocks), 80, 4),
        pack('VVV', $root, 0, $rootBytes),
        158,
        12,
    );
}

/** @param  list<string>  $blocks  from block 16 on  @param  array<int, string>  $at  block => bytes */
function opticalBytes(array $blocks, array $at = [], int $count = 600): string
{
    $bytes = str_pad(
        str_repeat("\0", 16 * 2048).implode('', array_map(fn ($block) => str_pad($block, 2048, "\0"), $blocks)),
        $count * 2048,
        "\0",
    );
    foreach ($at as $block => $piece) {
        $bytes = substr_replace($bytes, $piece, $block * 2048, strlen($piece));
    }

    return $bytes;
}

function anchorTag(): string
{
    $tag = pack('v', 2)."\3\0\0\0".str_repeat("\x11", 10);
    $tag[4] = chr(array_sum(array_map(ord(...), str_split($tag))) & 0xFF);

    return $tag;
}

it('finds Rock Ridge where the root says so', function (string $record, bool $found) {
    expect(OpticalVolume::read(new StringSource(opticalBytes([isoDescriptor()], [22 => $record])))->rockRidge)
        ->toBe($found);
})->with([
    'name of one byte' => [chr(48).str_repeat("\0", 31)."\1\0"."SP\x07\x01\xBE\xEF\0".str_repeat("\0", 40), true],
    'name of two bytes, padded' => [chr(60).str_repeat("\0", 31)."\2ab\0SP\x07\x01\xBE\xEF\0", true],
    'name of three bytes' => [chr(60).str_repeat("\0", 31)."\3abcSP\x07\x01\xBE\xEF\0", true],
    'one byte off' => [chr(60).str_repeat("\0", 31)."\1\0\0SP\x07\x01\xBE\xEF\0", false],
    'other mark' => [chr(60).str_repeat("\0", 31)."\1\0SP\x07\x02\xBE\xEF\0", false],
    'nothing' => ['', false],
]);

it('reads a label as it can be shown, and nothing of a short descriptor', function () {
    $of = fn (string $bytes) => OpticalVolume::read(new StringSource($bytes));
    expect($of(opticalBytes([isoDescriptor("  OR\x01RIN\xFF 3 ")]))->label)->toBe('ORRIN 3')
        ->and($of(opticalBytes([isoDescriptor('A'), isoDescriptor('B')]))->label)->toBe('B')
        ->and($of(str_repeat("\0", 16 * 2048).substr(isoDescriptor(), 0, 2047)))->toBeNull()
        ->and($of(opticalBytes([isoDescriptor(type: 3)])))->toBeNull()
        ->and($of(opticalBytes([isoDescriptor(type: 0), isoDescriptor()]))->iso)->toBeTrue()
        ->and($of(opticalBytes([
            isoDescriptor(blocks: 7, root: 9, rootBytes: 4096),
        ])))->stated->toBe(7 * 2048)->root->toBe(['at' => 9 * 2048, 'bytes' => 4096]);
});

it('tells ISO 9660, UDF and both apart', function () {
    $of = fn (array $blocks, array $at = []) => OpticalVolume::read(new StringSource(opticalBytes($blocks, $at)));
    $udf = ["\0BEA01\1", "\0NSR02\1", "\0TEA01\1"];
    expect($of([isoDescriptor(), ...$udf], [256 => anchorTag()]))->iso->toBeTrue()->udf->toBeTrue()
        ->and($of([isoDescriptor(), ...$udf]))->iso->toBeTrue()->udf->toBeFalse()
        ->and($of($udf, [256 => anchorTag()])->toArray())->toBe([
            'iso9660' => false,
            'joliet' => false,
            'rock_ridge' => false,
            'udf' => true,
            'label' => null,
            'stated_bytes' => null,
        ])
        ->and($of([isoDescriptor()], [256 => anchorTag()]))->udf->toBeFalse()
        ->and($of(["\0BOOT2\1", ...$udf], [256 => anchorTag()]))->udf->toBeTrue()
        ->and($of(["\0OTHER\1", ...$udf], [256 => anchorTag()]))->toBeNull()
        ->and(
            OpticalVolume::read(new StringSource(opticalBytes(
                [...array_fill(0, 30, "\0BEA01\1"), "\0NSR03\1"],
                [256 => anchorTag()],
            )))?->udf,
        )
        ->toBeTrue()
        ->and(OpticalVolume::read(new StringSource(opticalBytes(
            [...array_fill(0, 32, "\0BEA01\1"), "\0NSR03\1"],
            [256 => anchorTag()],
        ))))
        ->toBeNull();
});

it('believes no anchor of another kind or with another sum', function (string $tag) {
    expect(OpticalVolume::read(new StringSource(opticalBytes(["\0NSR02\1"], [256 => $tag]))))->toBeNull();
})->with([
    'kind' => [substr_replace(anchorTag(), "\3", 0, 1)],
    'kind, high byte' => [substr_replace(anchorTag(), "\1", 1, 1)],
    'sum' => [substr_replace(anchorTag(), "\0", 4, 1)],
    'content' => [substr_replace(anchorTag(), "\x12", 15, 1)],
]);
