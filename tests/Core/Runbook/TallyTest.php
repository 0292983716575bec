<?php

use Cobblestone\Runbook\Tally;

it('reads counts as people write them', function (string $text, ?array $counts) {
    expect(Tally::parse($text)?->counts)->toBe($counts);
})->with([
    ['6', ['screws' => 6]],
    ['6 × short, 2 x Long', ['long' => 2, 'short' => 6]],
    ["4 short\n1 standoff", ['short' => 4, 'standoff' => 1]],
    ['m2 x 4: 6', ['m2 x 4' => 6]],
    ['short 3, 2 short', ['short' => 5]],
    ['none', null],
    ['', null],
    ['ok', null],
]);
