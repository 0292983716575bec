<?php

use Cobblestone\Text\Lowered;

it('makes the first word small, unless it is a name', function (string $text, string $lowered) {
    expect(Lowered::of($text))->toBe($lowered);
})->with([
    ['Trust other signers', 'trust other signers'],
    ['Trust', 'trust'],
    ['Memory: 4 GiB', 'memory: 4 GiB'],
    ['USB start', 'USB start'],
    ['M.2 slot', 'M.2 slot'],
    ['A/B', 'A/B'],
    ['already small', 'already small'],
    ['', ''],
]);

it('sets the article that is spoken', function (string $noun, string $said) {
    expect(Lowered::withArticle($noun))->toBe($said);
})->with([
    ['unknown laptop', 'an unknown laptop'],
    ['Elver', 'an Elver'],
    ['Norrel Fairlead 13', 'a Norrel Fairlead 13'],
    ['unit of the lounge', 'a unit of the lounge'],
]);
