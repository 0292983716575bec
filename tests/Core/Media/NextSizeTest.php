<?php

use Cobblestone\Media\StickChoice;
use Cobblestone\Media\SticksAtHand;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Entries;

/** @param  list<int>  $sizes */
function stickOf(string $school, array $sizes): ?string
{
    $sticks = array_map(
        fn (int $size) => Entries::stick(['id' => "s{$size}", 'name' => "S {$size}", 'bytes' => $size]),
        $sizes,
    );

    return StickChoice::decide('x', 'X', new SticksAtHand($sticks, $school, []), Bytes::of(4_000_000_000))->stick?->id;
}

it('takes sticks that differ by a fifth or less for one size', function (
    array $sizes,
    string $smallest,
    string $next,
) {
    expect(stickOf('smallest', $sizes))->toBe($smallest)->and(stickOf('next-up', $sizes))->toBe($next);
})->with([
    'a make that is a little larger' => [
        [16_000_000_000, 17_000_000_000, 32_000_000_000],
        's16000000000',
        's32000000000',
    ],
    'exactly a fifth' => [[10_000_000_000, 12_000_000_000, 13_000_000_000], 's10000000000', 's13000000000'],
    'a byte more than a fifth' => [[10_000_000_000, 12_000_000_001], 's10000000000', 's12000000001'],
    'none larger' => [[16_000_000_000, 16_100_000_000], 's16000000000', 's16000000000'],
]);
