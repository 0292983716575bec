<?php

use Cobblestone\Text\Counted;

it('puts the noun beside its number', function (int $count, array $noun, string $said) {
    expect(Counted::of($count, ...$noun))->toBe($said);
})->with([
    [1, ['restart'], '1 restart'],
    [0, ['restart'], '0 restarts'],
    [2, ['restart'], '2 restarts'],
    [1, ['pass', 'passes'], '1 pass'],
    [11, ['pass', 'passes'], '11 passes'],
]);
