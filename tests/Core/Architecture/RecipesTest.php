<?php

use Tests\Support\Demo;

/** @return array<string, array{string, string}> name of a recipe => its name, its text */
function recipes(): array
{
    $page = (string) file_get_contents(Demo::root().'/docs/architecture.md');
    $recipes = [];
    foreach (explode("\n", explode("## How to add\n", $page)[1]) as $line) {
        if (preg_match('/^\*\*(.+?)\.\*\*(.*)$/', $line, $found) === 1) {
            $recipes[$found[1]] = [$found[1], $found[2]];
        }
    }

    return $recipes;
}

it('tells how a kind of job, a driver rule, a fact and a screen are added', function () {
    expect(array_keys(recipes()))->toContain('A kind of job', 'A driver rule', 'A fact', 'A screen');
});

it('names at most five files, and places that there are', function (string $name, string $text) {
    preg_match_all('/ (\d)\. /', $text, $steps);
    preg_match_all('#`((?:core|app|catalogue|docs|routes|resources|tests)/[^`…]*)`#u', $text, $places);
    expect(max(array_map(intval(...), $steps[1])))->toBeLessThanOrEqual(5)->and($places[1])->not->toBe([]);
    foreach ($places[1] as $place) {
        expect(file_exists(Demo::root()."/{$place}"))->toBeTrue($place);
    }
})->with(recipes());

it('was followed at least once, as it says', function (string $name, string $text) {
    expect(preg_match('/ Followed for `(\w[\w.]*)`(.*)$/', $text, $example))->toBe(1, $name);
    preg_match_all('#`([a-z]+/[^`]+)`#i', $example[2], $places);
    $dashed = strtolower((string) preg_replace('/(?<=[a-z])[A-Z]/', '-$0', $example[1]));
    $joined = lcfirst(str_replace(' ', '', ucwords(str_replace('_', ' ', $example[1]))));
    $word = '/'.implode('|', array_map(preg_quote(...), [$example[1], $dashed, $joined])).'/';
    expect(count($places[1]))->toBeGreaterThanOrEqual(2);
    foreach ($places[1] as $place) {
        expect(preg_match($word, (string) file_get_contents(Demo::root()."/{$place}")))->toBe(1, "{$name}: {$place}");
    }
})->with(recipes());
