<?php

use Cobblestone\Document\Fields;
use Cobblestone\Hardware\Erasure\Certificate;
use Cobblestone\Hardware\Erasure\ErasableDrive;
use Cobblestone\Hardware\Erasure\ErasureAdvice;
use Cobblestone\Hardware\Erasure\ErasureProof;
use Cobblestone\Hardware\Erasure\ErasureWay;
use Cobblestone\Hardware\Erasure\SamplePlaces;
use Cobblestone\Quantity\Bytes;

function erasable(bool $flash, bool $sanitize, bool $encrypts, bool $failing = false): ErasableDrive
{
    $size = Bytes::of(256_060_514_304);

    return new ErasableDrive('Saltmarsh NV-3', 'SM3-1', $size, $flash, $sanitize, $encrypts, $failing);
}

it('chooses the way that reaches everything', function (array $drive, string $best, array $ways, array $out) {
    $advice = ErasureAdvice::of(erasable(...$drive));
    expect($advice->best->value)->toBe($best)
        ->and(array_column($advice->ways(), 'value'))->toBe($ways)
        ->and(array_keys($advice->out))->toBe($out);
})->with([
    'flash that can' => [[true, true, false], 'sanitize', ['sanitize', 'overwrite', 'destroyed'], ['crypto']],
    'flash that does both' => [
        [true, true, true],
        'sanitize',
        ['sanitize', 'crypto', 'overwrite', 'destroyed'],
        [],
    ],
    'flash with a key alone' => [[true, false, true], 'crypto', ['crypto', 'overwrite', 'destroyed'], ['sanitize']],
    'a stick' => [[true, false, false], 'overwrite', ['overwrite', 'destroyed'], ['sanitize', 'crypto']],
    'a disk' => [[false, false, false], 'overwrite', ['overwrite', 'destroyed'], ['sanitize', 'crypto']],
    'a disk with the command' => [
        [false, true, false], 'overwrite', ['overwrite', 'sanitize', 'destroyed'], ['crypto'],
    ],
    'a disk with a key' => [[false, false, true], 'crypto', ['crypto', 'overwrite', 'destroyed'], ['sanitize']],
    'a failing one' => [
        [false, true, true, true], 'destroyed', ['destroyed'], ['sanitize', 'crypto', 'overwrite'],
    ],
]);

it('never offers what it says is out, and says what an overwrite of flash leaves open', function () {
    foreach ([true, false] as $flash) {
        foreach ([true, false] as $sanitize) {
            foreach ([true, false] as $encrypts) {
                foreach ([true, false] as $failing) {
                    $drive = erasable($flash, $sanitize, $encrypts, $failing);
                    $advice = ErasureAdvice::of($drive);
                    foreach ($advice->ways() as $way) {
                        expect($advice->out)->not->toHaveKey($way->value);
                    }
                    expect($advice->ways())->toContain(ErasureWay::Destroyed)
                        ->and(array_filter($advice->out, fn (string $why) => $why === ''))->toBe([])
                        ->and($advice->caution !== '')
                        ->toBe($flash && $advice->best === ErasureWay::Overwrite);
                }
            }
        }
    }
});

it('reads both ends, and places by chance over all of it, the same for the same seed', function (int $bytes) {
    $places = SamplePlaces::of(Bytes::of($bytes), 7);
    $last = intdiv($bytes, SamplePlaces::LENGTH) - 1;
    expect($places)->toBe(SamplePlaces::of(Bytes::of($bytes), 7))
        ->and($places)->toBe(array_values(array_unique($places)))
        ->and($places[0])->toBe(0)
        ->and(max($places))->toBe(max(0, $last) * SamplePlaces::LENGTH)
        ->and(array_filter($places, fn (int $at) => $at % SamplePlaces::LENGTH !== 0))->toBe([]);
    $sorted = $places;
    sort($sorted);
    expect($places)->toBe($sorted);
})->with([256_060_514_304, 2_000_398_934_016, 1_048_576, 4096, 100]);

it('reads where tables and their copies stand', function () {
    $places = SamplePlaces::of(Bytes::of(1_000_000 * SamplePlaces::LENGTH), 3);
    foreach ([0, 1, 2, 8, 64, 255] as $block) {
        expect($places)->toContain($block * SamplePlaces::LENGTH)
            ->toContain((999_999 - $block) * SamplePlaces::LENGTH);
    }
    // So many by chance, but for those that fall together.
    expect(count($places))->toBeBetween(SamplePlaces::BY_CHANCE + 10, SamplePlaces::BY_CHANCE + 12)
        ->and(SamplePlaces::of(Bytes::of(2 * SamplePlaces::LENGTH), 3))->toBe([0, SamplePlaces::LENGTH])
        ->and(SamplePlaces::of(Bytes::of(SamplePlaces::LENGTH - 1), 3))->toBe([0])
        ->and(array_is_list($places))->toBeTrue();
});

it('goes over the whole drive: no fortieth of it is without a place', function () {
    $bytes = 512_110_190_592;
    $places = SamplePlaces::of(Bytes::of($bytes), 12);
    expect(count($places))->toBeGreaterThan(SamplePlaces::BY_CHANCE - 5)
        ->and($places)->not->toBe(SamplePlaces::of(Bytes::of($bytes), 13));
    $parts = array_unique(array_map(fn (int $at) => intdiv($at * 40, $bytes), $places));
    expect(count($parts))->toBe(40);
});

it('says whether it is erased by what was read back', function (
    ErasureWay $way,
    array $before,
    array $after,
    bool $is,
    string $says,
) {
    $proof = ErasureProof::of($way, $before, $after);
    expect($proof->isErased())->toBe($is)->and($proof->sentence())->toContain($says);
})->with([
    'overwritten' => [
        ErasureWay::Overwrite, ['a', 'b'], ["\0", "\0"], true, 'Read back at 2 places: nothing stands there.',
    ],
    'ones for zeros' => [ErasureWay::Sanitize, ['a', "\0"], ["\xff", "\xff"], true, 'nothing stands there'],
    'a part left' => [
        ErasureWay::Overwrite, ['a', 'b'], ["\0", 'b'], false, 'Of 2 places read back, 1 place holds what',
    ],
    'all of it left' => [
        ErasureWay::Overwrite, ['a', 'b'], ['a', 'b'], false, '2 places hold what was there before',
    ],
    'where the first one left is' => [
        ErasureWay::Overwrite, [0 => 'a', 4096 => 'b'], [0 => "\0", 4096 => 'b'], false, 'the first at byte 4 096',
    ],
    'something else there' => [ErasureWay::Overwrite, ['a'], ['c'], false, '1 place holds something'],
    'another key' => [ErasureWay::Crypto, ['a', "\0"], ['c', 'd'], true, 'nothing of what stood there before'],
    'a part under the old key' => [ErasureWay::Crypto, ['a', 'b'], ['c', 'b'], false, 'what was there before'],
    'a place that cannot be read' => [ErasureWay::Crypto, ['a'], [null], false, '1 place cannot be read'],
    'unreadable before, empty after' => [ErasureWay::Sanitize, [null], ["\0"], true, 'nothing stands there'],
    'nothing to compare with' => [ErasureWay::Crypto, [null, 'a'], ['c', 'd'], false, 'cannot be read and compared'],
    'no comparison needed' => [ErasureWay::Overwrite, [null], ['c'], false, '1 place holds something'],
    'nothing read' => [ErasureWay::Overwrite, [], [], false, 'Nothing was read back.'],
]);

it('keeps on the certificate what names the drive, and comes back the same', function () {
    $drive = erasable(true, false, false);
    $proof = ErasureProof::of(ErasureWay::Overwrite, ['a'], ["\0"]);
    $certificate = Certificate::read($drive, $proof, '2026-11-30T12:00:00Z', '2026-11-30T13:00:00Z', 'bench lead');
    expect($certificate->serial)->toBe('SM3-1')
        ->and($certificate->bytes)->toBe(256_060_514_304)
        ->and($certificate->caution)->toContain('cells in reserve')
        ->and($certificate->proof)->toContain('Read back at 1 place:')
        ->and(Certificate::fromFields(Fields::of($certificate->toArray())))->toEqual($certificate);
});

it('calls no way of leaving the data an erasure', function () {
    foreach (ErasureWay::cases() as $way) {
        expect($way->title().$way->done())->not->toContain('partition')->not->toContain('format');
    }
});
