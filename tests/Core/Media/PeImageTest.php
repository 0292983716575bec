<?php

use Cobblestone\Media\Inspection\PeImage;

/**
 * The digest of the standard, written down anew: everything but checksum, security entry and signature, sections in the
 * order of the file.
 */
function naiveDigest(string $bytes, bool $wide, array $sections, int $headers, int $signature): string
{
    $checksum = 64 + 24 + 64;
    $entry = 64 + 24 + ($wide ? 112 : 96) + 32;
    $hashed =
        substr($bytes, 0, $checksum).
        substr($bytes, $checksum + 4, $entry - $checksum - 4).
        substr($bytes, $entry + 8, $headers - $entry - 8);
    usort($sections, fn ($a, $b) => $a[1] <=> $b[1]);
    $done = $headers;
    foreach ($sections as [, $at, $length]) {
        $hashed .= $length > 0 ? substr($bytes, $at, $length) : '';
        $done += $length;
    }

    return hash('sha256', $hashed.substr($bytes, $done, max(0, strlen($bytes) - $signature - $done)));
}

it('has the digest of the standard', function (bool $wide, array $sections, string $tail, array $security) {
    $bytes = peBytes($wide, $sections, tail: $tail, security: $security);
    expect(PeImage::read($bytes)->digest())->toBe(
        naiveDigest($bytes, $wide, $sections, 512, $security[0] > 0 ? $security[1] : 0),
    );
})->with([
    [true, [['.text', 512, 512]], '', [0, 0]],
    [false, [['.text', 512, 512]], '', [0, 0]],
    [true, [['.text', 1024, 512], ['.data', 512, 512], ['.bss', 0, 0]], '', [0, 0]],
    [false, [['.text', 512, 1024]], 'tail beyond', [0, 0]],
    [true, [['.text', 512, 512]], str_repeat('s', 64), [1024, 64]],
    [true, [['.text', 512, 512]], 'tail'.str_repeat('s', 64), [1028, 64]],
    [true, [], '', [0, 0]],
]);

it('hashes every byte but the excepted ones', function () {
    $bytes = peBytes(tail: str_repeat('s', 64), security: [1024, 64]);
    $digest = PeImage::read($bytes)->digest();
    $left = [];
    // The signature says where it is and how long: those fields, and what decides how the file is read, are left alone
    // here.
    foreach (
        [
            ...range(66, 67),
            ...range(72, 83),
            ...range(90, 147),
            ...range(152, 155),
            ...range(158, 195),
            ...range(200, 231),
            ...range(240, 327),
            ...range(352, 1087),
        ] as $at
    ) {
        $changed = PeImage::read(substr_replace($bytes, chr(ord($bytes[$at]) ^ 1), $at, 1));
        if ($changed !== null && $changed->digest() === $digest) {
            $left[] = $at;
        }
    }
    expect($left)->toBe([...range(152, 155), ...range(1024, 1087)]);
});

it('is whole only when every section and the signature are there', function () {
    $whole = fn (string $bytes) => [PeImage::read($bytes)->whole, PeImage::read($bytes)->isWhole()];
    expect($whole(peBytes()))
        ->toBe([1024, true])
        ->and($whole(substr(peBytes(), 0, 1023)))
        ->toBe([1024, false])
        ->and($whole(peBytes(headers: 0)))
        ->toBe([1024, false])
        ->and($whole(peBytes(sections: [])))
        ->toBe([512, true])
        ->and($whole(peBytes(tail: 'xxxx', security: [1024, 64])))
        ->toBe([1088, false])
        ->and($whole(peBytes(tail: str_repeat('x', 64), security: [1024, 64])))
        ->toBe([1088, true])
        ->and($whole(peBytes(sections: [['.a', 512, 10], ['.b', 2000, 5]])))
        ->toBe([2005, true]);
});

it('is signed only where the entry says so', function () {
    expect(PeImage::read(peBytes())->isSigned())
        ->toBeFalse()
        ->and(PeImage::read(peBytes(tail: str_repeat('x', 64), security: [1024, 64]))->isSigned())
        ->toBeTrue()
        ->and(PeImage::read(peBytes(tail: 'x', security: [1024, 8]))->isSigned())
        ->toBeFalse()
        ->and(PeImage::read(peBytes(tail: 'x', security: [1024, 9]))->isSigned())
        ->toBeTrue()
        ->and(PeImage::read(peBytes(directories: 4, security: [1024, 64]))->isSigned())
        ->toBeFalse()
        ->and(PeImage::read(peBytes(directories: 5, security: [1024, 64]))->isSigned())
        ->toBeTrue()
        ->and(PeImage::read(peBytes(security: [0, 64]))->isSigned())
        ->toBeFalse();
});

it('reads the digest that a signature states, and no other', function (string $signature, ?string $digest) {
    $bytes = peBytes(tail: $signature, security: [1024, max(9, strlen($signature))]);
    expect(PeImage::read($bytes)->statedDigest())->toBe($digest);
})->with(function () {
    $content = "\x06\x0A\x2B\x06\x01\x04\x01\x82\x37\x02\x01\x04";
    $sha = "\x06\x09\x60\x86\x48\x01\x65\x03\x04\x02\x01";
    $sum = str_repeat("\xAB", 31)."\xCD";
    $hex = str_repeat('ab', 31).'cd';
    yield 'with parameters' => ["head{$content}more{$sha}\x05\x00\x04\x20{$sum}tail", $hex];
    yield 'without' => ["head{$content}more{$sha}\x04\x20{$sum}tail", $hex];
    yield 'ends with it' => ["{$content}{$sha}\x04\x20{$sum}", $hex];
    yield 'cut' => ["{$content}{$sha}\x04\x20".substr($sum, 1), null];
    yield 'another length' => ["{$content}{$sha}\x04\x14{$sum}", null];
    yield 'another kind' => ["{$content}{$sha}\x05\x01\x04\x20{$sum}", null];
    yield 'algorithm before the content' => ["{$sha}\x04\x20{$sum}{$content}", null];
    yield 'no content' => ["head{$sha}\x04\x20{$sum}", null];
    yield 'no algorithm' => ["{$content} and nothing more", null];
});

it('reads machine and subsystem', function () {
    expect(PeImage::read(peBytes(machine: 0xAA64)))
        ->architecture->toBe('arm-64')
        ->machine->toBe(0xAA64)
        ->and(PeImage::read(peBytes(machine: 0x1234))->architecture)
        ->toBeNull()
        ->and(
            array_map(fn ($subsystem) => PeImage::read(peBytes(subsystem: $subsystem))->isEfi, [
                9,
                10,
                11,
                12,
                13,
                14,
            ]),
        )
        ->toBe([false, true, true, true, true, false])
        ->and(PeImage::read(peBytes(sections: [['.a', 512, 4], ['.a', 516, 4]]))->sections)
        ->toBe(['.a' => ['at' => 512, 'bytes' => 4], '.a#1' => ['at' => 516, 'bytes' => 4]])
        ->and(PeImage::read(substr(peBytes(), 0, 350)))
        ->not->toBeNull();
    expect(PeImage::read(peBytes(sections: array_fill(0, 3, ['.t', 512, 4]))))->not->toBeNull();
});
