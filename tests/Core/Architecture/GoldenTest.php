<?php

use Tests\Support\Demo;
use Tests\Support\Difference;
use Tests\Support\Golden;

it('tells where two documents differ, and how', function (mixed $was, mixed $is, array $told) {
    expect(Difference::between($was, $is, 'at'))->toBe($told);
})->with([
    'the same' => [['a' => 1, 'b' => [1, 2]], ['a' => 1, 'b' => [1, 2]], []],
    'a figure' => [['a' => ['low' => 1.0]], ['a' => ['low' => 2.0]], ['at.a.low: was 1.0, is 2.0']],
    'a figure of another kind' => [['a' => 1], ['a' => '1'], ['at.a: was 1, is "1"']],
    'a block where a word was' => [['a' => 'x'], ['a' => ['x']], ['at.a: was "x", is ["x"]']],
    'gone and new' => [['a' => 1], ['b' => 2], ['at.a: gone, was 1', 'at.b: new, is 2']],
    'an entry, by what it is called' => [
        [['id' => 'erase', 'title' => 'Erase'], ['id' => 'copy', 'title' => 'Copy']],
        [
            ['id' => 'look', 'title' => 'Look'], ['id' => 'erase', 'title' => 'Erase it'],
            ['id' => 'copy', 'title' => 'Copy'],
        ],
        ['at.erase.title: was "Erase", is "Erase it"', 'at.look: new, is {"id":"look","title":"Look"}'],
    ],
    'another order' => [
        [['id' => 'a'], ['id' => 'b']],
        [['id' => 'b'], ['id' => 'a']],
        ['at: in another order, was ["a","b"], is ["b","a"]'],
    ],
    'two of one name, by place' => [
        [['id' => 'a', 'x' => 1], ['id' => 'a', 'x' => 2]],
        [['id' => 'a', 'x' => 1], ['id' => 'a', 'x' => 3]],
        ['at.1.x: was 2, is 3'],
    ],
    'much' => [str_repeat('x', 300), '', ['at: was "'.str_repeat('x', 139).' …, is ""']],
]);

it('puts on a line what fits on one, and can be read back', function (mixed $document, string $text) {
    expect(Golden::text($document))->toBe($text)
        ->and(json_decode(Golden::text($document), true))->toEqual(json_decode((string) json_encode($document), true));
})->with([
    'a word' => ['Größe/2', "\"Größe/2\"\n"],
    'a small block' => [['a' => 1.0, 'b' => []], "{\"a\":1.0,\"b\":[]}\n"],
    'a long list' => [
        [str_repeat('a', 60), str_repeat('b', 60)],
        "[\n  \"".str_repeat('a', 60)."\",\n  \"".str_repeat('b', 60)."\"\n]\n",
    ],
    'an object in a long block' => [
        ['o' => (object) [], 'p' => (object) ['x' => str_repeat('c', 120)]],
        "{\n  \"o\": {},\n  \"p\": {\n    \"x\": \"".str_repeat('c', 120)."\"\n  }\n}\n",
    ],
]);

it('finds what changed in a part, what came and what went', function () {
    $before = getenv('UPDATE_GOLDEN');
    $name = 'golden-'.bin2hex(random_bytes(4));
    $folder = Demo::root()."/tests/fixtures/{$name}";
    $whole = fn (array $more): array => [
        ...array_fill_keys(['First part', 'second'], array_fill(0, 160, ['text' => str_repeat('x', 110)])),
        ...$more,
    ];
    try {
        putenv('UPDATE_GOLDEN=1');
        expect(Golden::differences($name, $whole(['third' => ['a' => 1]])))->toBe([]);
        putenv('UPDATE_GOLDEN');
        expect(array_map(basename(...), glob("{$folder}/*")))->toBe(['first-part.json', 'second.json', 'third.json'])
            ->and(Golden::differences($name, $whole(['third' => ['a' => 1]])))->toBe([])
            ->and(Golden::differences($name, $whole(['third' => ['a' => 2], 'fourth' => []])))
            ->toBe(["{$name}/third.a: was 1, is 2", "{$name}/fourth: new, and not held so far"])
            ->and(Golden::differences($name, $whole([])))->toBe(["{$name}/third: gone"])
            ->and(fn () => Golden::differences($name, $whole(['first-part' => 1])))
            ->toThrow(InvalidArgumentException::class, 'first-part');
    } finally {
        putenv($before === false ? 'UPDATE_GOLDEN' : "UPDATE_GOLDEN={$before}");
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        is_dir($folder) && rmdir($folder);
    }
});

it('holds nothing that nobody would read', function () {
    $long = [];
    foreach (['boot', 'firmware', 'jobs', 'media', 'paths', 'sheets'] as $of) {
        $found = new RecursiveDirectoryIterator(Demo::root()."/tests/fixtures/{$of}", FilesystemIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($found) as $file) {
            $lines = count(file((string) $file) ?: []);
            $long = $lines > 400 ? [...$long, "{$file}: {$lines}"] : $long;
        }
    }
    expect($long)->toBe([]);
    $held = glob(Demo::root().'/tests/fixtures/jobs/*') ?: [];
    expect(array_map(fn (string $path): string => basename($path, '.json'), $held))->toEqualCanonicalizing(Demo::ALL);
});
