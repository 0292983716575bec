<?php

use Cobblestone\Media\Inspection\Compression;
use Cobblestone\Storage\Reading\StringSource;
use Tests\Support\Images;

function packed(string $bytes): ?Compression
{
    return Compression::detect(new StringSource($bytes));
}

it('adds up the streams of an xz file, padding between them apart', function () {
    $xz = Images::bytes('disk.img.xz');
    expect(packed($xz)->expanded)->toBe(6_291_456)
        ->and(packed($xz.$xz)->expanded)->toBe(12_582_912)
        ->and(packed($xz.str_repeat("\0", 8).$xz.str_repeat("\0", 4))->expanded)->toBe(12_582_912)
        ->and(packed($xz)->toArray())->toBe([
            'kind' => 'xz',
            'expanded_bytes' => 6_291_456,
            'hint' => null,
            'members' => 1,
            'faults' => [],
        ]);
});

/**
 * An xz stream of that index, as the format writes it; its blocks are not looked at. @param  list<array{int, int}>
 * $blocks  unpadded and expanded size
 */
function xzStream(array $blocks, int $less = 0): string
{
    $number = function (int $value): string {
        for ($bytes = ''; $value >= 0x80; $value >>= 7) {
            $bytes .= chr($value & 0x7F | 0x80);
        }

        return $bytes.chr($value);
    };
    $index = "\0".$number(count($blocks))
        .implode('', array_map(fn ($block) => $number($block[0]).$number($block[1]), $blocks));
    $index = str_pad($index, intdiv(strlen($index) + 3, 4) * 4, "\0");
    $index .= pack('V', crc32($index));
    $stored = array_sum(array_map(fn ($block) => intdiv($block[0] + 3, 4) * 4, $blocks)) - $less;
    $foot = pack('V', intdiv(strlen($index), 4) - 1)."\0\1";

    return "\xFD7zXZ\0\0\1".pack('V', crc32("\0\1")).str_repeat('b', $stored).$index.pack('V', crc32($foot)).$foot.'YZ';
}

it('adds up every block of an index, by numbers of any length', function (array $blocks, int $expanded) {
    expect(packed(xzStream($blocks))->expanded)->toBe($expanded);
})->with([
    [[], 0],
    [[[5, 127]], 127],
    [[[6, 128]], 128],
    [[[7, 16_383], [8, 16_384]], 32_767],
    [[[9, 8_589_934_592], [130, 5_000_000_000], [20_000, 1]], 13_589_934_593],
    [array_fill(0, 300, [12, 1000]), 300_000],
]);

it('follows a thousand streams and no more, and notices what does not add up', function () {
    expect(packed(str_repeat(xzStream([]), 1000))->expanded)->toBe(0)
        ->and(packed(str_repeat(
            xzStream([]),
            1001,
        )))->expanded->toBeNull()->hint->toBe('it has more parts than are followed')
        ->and(packed(xzStream([[5, 127]], 4))->faults)->toBe(['The parts of the xz file do not add up to its size.'])
        ->and(packed(xzStream([[5, 127], [5, 5]], 16))->faults)
        ->toBe(['The parts of the xz file do not add up to its size.'])
        ->and(packed(xzStream([[5, PHP_INT_MAX], [5, 5]]))->faults)->toBe(['The index of the xz file is damaged.'])
        ->and(packed(xzStream([[5, PHP_INT_MAX]]))->expanded)->toBe(PHP_INT_MAX);
    $lying = xzStream([[5, 127]]);
    $index = strlen($lying) - 12 - 8;
    expect(packed(substr_replace($lying, "\1", $index, 1))->faults)->toBe(['The index of the xz file is damaged.']);
});

it('says where an xz file is broken', function (Closure $break, string $fault) {
    $broken = packed($break(Images::bytes('disk.img.xz')));
    expect($broken->expanded)->toBeNull()->and($broken->faults)->toBe([$fault]);
})->with([
    [fn ($b) => substr($b, 0, -1), 'The end of the file is not the end of an xz file: it was cut off or altered.'],
    [
        fn ($b) => substr_replace($b, 'XX', -2),
        'The end of the file is not the end of an xz file: it was cut off or altered.',
    ],
    [
        fn ($b) => substr_replace($b, "\x01", -5, 1),
        'The end of the file is not the end of an xz file: it was cut off or altered.',
    ],
    [fn ($b) => substr_replace($b, "\xFF", -14, 1), 'The index of the xz file is damaged.'],
    [fn ($b) => substr_replace($b, "\xFF", -20, 1), 'The index of the xz file is damaged.'],
    [fn ($b) => substr($b, 0, 200).substr($b, 208), 'The parts of the xz file do not add up to its size.'],
    [fn ($b) => "\xFD7zXZ\0", 'The end of the file is not the end of an xz file: it was cut off or altered.'],
]);

it('reads the size that a zstd frame states', function (string $head, ?int $size) {
    $file = packed("\x28\xB5\x2F\xFD".$head.str_repeat('x', 20));
    expect($file->kind)->toBe('zstd')
        ->and($file->expanded)->toBe($size)
        ->and($file->hint)->toBe($size === null ? 'this zstd file does not tell how much comes out' : null);
})->with([
    'one byte, single segment' => ["\x20\xC8", 200],
    'not stated' => ["\x00\x58", null],
    'two bytes' => ["\x60".pack('v', 1000), 1256],
    'two bytes, window' => ["\x40\x58".pack('v', 1000), 1256],
    'four bytes' => ["\xA0".pack('V', 4_000_000_000), 4_000_000_000],
    'eight bytes, window' => ["\xC0\x58".pack('P', 5_000_000_000), 5_000_000_000],
    'dictionary of one' => ["\xA1\x07".pack('V', 77), 77],
    'dictionary of two' => ["\xA2\x07\x07".pack('V', 77), 77],
    'dictionary of four' => ["\xA3\x07\x07\x07\x07".pack('V', 77), 77],
    'lies' => ["\xE0".str_repeat("\xFF", 8), null],
]);

it('reads the list of a zip file, zip64 too', function () {
    $member = fn (int $size, string $extra = '') => "PK\x01\x02".str_repeat("\0", 20)
        .pack('Vvv', $size, 5, strlen($extra)).str_repeat("\0", 14).'a.img'.$extra;
    $zip = fn (string $list, int $count) => "PK\x03\x04data".$list."PK\x05\x06\0\0\0\0"
        .pack('vvVV', $count, $count, strlen($list), 8)."\0\0";
    expect(packed($zip($member(1234), 1)))->expanded->toBe(1234)->members->toBe(1)->hint->toBeNull()
        ->and(packed($zip(
            $member(1).$member(2),
            2,
        )))->expanded->toBeNull()->members->toBe(2)->hint->toBe('it holds 2 files')
        ->and(packed($zip(
            $member(0xFFFF_FFFF, pack('vvV', 9, 4, 7).pack('vvP', 1, 8, 9_000_000_000)),
            1,
        )))->expanded->toBe(9_000_000_000)
        ->and(packed($zip($member(0xFFFF_FFFF, pack('vvP', 2, 8, 5)), 1))->faults)
        ->toBe(['The list of the zip file is damaged.'])
        ->and(packed($zip($member(0xFFFF_FFFF, pack('vvP', 1, 8, -5)), 1))->faults)
        ->toBe(['The list of the zip file is damaged.'])
        ->and(packed($zip('XX', 1))->faults)->toBe(['The list of the zip file is damaged.'])
        ->and(packed("PK\x03\x04 and no end")->faults)->toBe(['The zip file has no end: it was cut off.']);
    $list = $member(0xFFFF_FFFF, pack('vvP', 1, 8, 7_000_000_000));
    $record = "PK\x06\x06".str_repeat("\0", 28).pack('PPP', 1, strlen($list), 8);
    $big = "PK\x03\x04data".$list.$record."PK\x06\x07\0\0\0\0".pack('PV', 8 + strlen($list), 1)."PK\x05\x06\0\0\0\0"
        .pack('vvVV', 0xFFFF, 0xFFFF, 0xFFFF_FFFF, 0xFFFF_FFFF)."\0\0";
    expect(packed($big))->expanded->toBe(7_000_000_000)->members->toBe(1);
});

it('knows a kind by its first bytes only', function (string $start, ?string $kind) {
    expect(packed($start.str_repeat("\0", 40))?->kind)->toBe($kind);
})->with([
    'gzip 0' => ["\x1F\x8B\x08", 'gzip'],
    'null 1' => ["\x1F\x8B\x07", null],
    'bzip2 2' => ["BZh9\x31\x41\x59\x26\x53\x59", 'bzip2'],
    'null 3' => ["BZh0\x31\x41\x59\x26\x53\x59", null],
    'null 4' => ["BZh9\x31\x41\x59\x26\x53\x58", null],
    'xz 5' => ["\xFD7zXZ\0", 'xz'],
    'null 6' => ["\xFD7zXZ\1", null],
    'zstd 7' => ["\x28\xB5\x2F\xFD", 'zstd'],
    'zip 8' => ["PK\x05\x06", 'zip'],
    'null 9' => ['text', null],
]);

it('takes gzip\'s trailer for a hint', function () {
    expect(packed("\x1F\x8B\x08".str_repeat('x', 20).pack('V', 1_234_567))->hint)
        ->toBe('gzip says 1 234 567 B, but counts only up to 4 GiB and only its last part')
        ->and(packed("\x1F\x8B\x08".str_repeat('x', 20).pack('V', 1_234_567))->expanded)->toBeNull();
});
