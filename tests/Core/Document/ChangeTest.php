<?php

use Cobblestone\Document\Change;

/** @return array<mixed>|string|int|bool|null a document of chance */
$chance = function (int $depth = 0) use (&$chance): array|string|int|bool|null {
    $scalars = [null, true, 0, 7, '', 'seven'];
    $some = fn (): array => array_map(fn (): mixed => $chance($depth + 1), range(1, mt_rand(1, 4)));

    return match (mt_rand(0, $depth > 3 ? 1 : 4)) {
        0, 1 => $scalars[array_rand($scalars)],
        2 => $some(),
        3 => array_combine(array_slice(['a', 'b', 'id', 'd'], 0, count($one = $some())), $one),
        default => array_map(
            fn (string $id): array => ['id' => $id, 'n' => mt_rand(0, 1), 'x' => $chance($depth + 1)],
            array_rand(array_flip(['p', 'q', 'r', 's', 't']), mt_rand(2, 5)),
        ),
    };
};

test('a change makes the new document out of the old one, whatever they are', function () use ($chance) {
    mt_srand(11);
    for ($i = 0; $i < 4000; $i++) {
        [$old, $new] = [$chance(), $chance()];
        // As it is stored: through JSON, which knows neither objects nor references.
        $change = json_decode((string) json_encode(Change::between($old, $new)), true);
        expect(Change::apply($old, $change))->toBe($new);
    }
});

test('nothing changed is nothing', function () use ($chance) {
    mt_srand(12);
    for ($i = 0; $i < 200; $i++) {
        $document = $chance();
        expect(Change::between($document, $document))->toBe([])->and(Change::apply($document, []))->toBe($document);
    }
});

test('a change says what changed and no more', function (mixed $old, mixed $new, array $change) {
    expect(Change::between($old, $new))->toBe($change);
})->with([
    'another value' => [1, 2, ['to' => 2]],
    'a value within' => [
        ['a' => 1, 'b' => ['c' => 2, 'd' => 3]],
        ['a' => 1, 'b' => ['c' => 2, 'd' => 4]],
        ['in' => ['b' => ['in' => ['d' => ['to' => 4]]]]],
    ],
    'a key more' => [['a' => 1], ['a' => 1, 'b' => null], ['in' => ['b' => ['to' => null]], 'order' => ['a', 'b']]],
    'a key less' => [['a' => 1, 'b' => 2], ['b' => 2], ['in' => [], 'order' => ['b']]],
    'another order' => [['a' => 1, 'b' => 2], ['b' => 2, 'a' => 1], ['in' => [], 'order' => ['b', 'a']]],
    'a list without ids' => [[1, 2], [1, 3], ['to' => [1, 3]]],
    'a stone' => [
        [['id' => 'p', 'n' => 1], ['id' => 'q', 'n' => 1]],
        [['id' => 'p', 'n' => 1], ['id' => 'q', 'n' => 2]],
        ['items' => ['q' => ['in' => ['n' => ['to' => 2]]]]],
    ],
    'a stone more, before' => [
        [['id' => 'p']],
        [['id' => 'q'], ['id' => 'p']],
        ['items' => ['q' => ['to' => ['id' => 'q']]], 'order' => ['q', 'p']],
    ],
    'two of one id are no ids' => [[['id' => 'p'], ['id' => 'p']], [['id' => 'p']], ['to' => [['id' => 'p']]]],
    'an empty list' => [[['id' => 'p']], [], ['items' => [], 'order' => []]],
]);
