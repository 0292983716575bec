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

it('takes what another job has only where nothing else that is healthy fits, and says so', function () {
    $hand = fn (array ...$sticks) => new SticksAtHand(array_map(
        fn (array $one) => Entries::stick(['name' => $one['id'], ...$one]),
        $sticks,
    ), 'smallest', ['usb-a']);
    $choose = fn (array ...$sticks) => StickChoice::decide('x', 'X', $hand(...$sticks), Bytes::of(4_000_000_000));
    $kept = ['id' => 'kept', 'kept_for' => 'crew laptop 4 until "Stick out" is laid'];
    $larger = ['id' => 'larger', 'bytes' => 64_000_000_000];
    $choice = $choose($kept, $larger);
    expect($choice->stick?->id)->toBe('larger')
        ->and($choice->decision->refused['kept'])->toBe(['kept for crew laptop 4 until "Stick out" is laid'])
        ->and($choose($kept, [...$larger, 'connector' => 'usb-c'])->stick?->id)->toBe('larger')
        ->and($choose($kept, [...$larger, 'health' => 'watch'])->stick?->id)->toBe('kept')
        ->and($choose($kept, [...$larger, 'contents_may_go' => false])->decision->reasons[0])
        ->toBe('It is kept for crew laptop 4 until "Stick out" is laid: no free one fits.');
});

it('goes a size up only among those that are as good as the first', function (array $second) {
    $sticks = [Entries::stick(), Entries::stick(['id' => 'up', 'bytes' => 64_000_000_000, ...$second])];
    $choice = StickChoice::decide('x', 'X', new SticksAtHand($sticks, 'next-up', ['usb-a']), Bytes::of(4_000_000_000));
    expect($choice->stick?->id)->toBe($second === [] ? 'up' : 'gull');
})->with([[[]], [['health' => 'watch']], [['connector' => 'usb-c']], [['kept_for' => 'another job']]]);
