<?php

use Cobblestone\Assessment\Backup\Manifest;
use Cobblestone\Assessment\Backup\ManifestComparison;
use Cobblestone\Inventory\UnreadableInventory;

$a = str_repeat('a', 64);
$b = str_repeat('b', 64);

it('reads lists of sha256sum, of sizes and of paths', function () use ($a, $b) {
    $manifest = Manifest::read(
        "# made today\r\n{$a}  ./pictures//one.jpg\r\n".strtoupper($b)
            ." *two words.txt\n\\{$a}  odd\\\\name\\nline\n12\tthree.txt\nfour/five\n\n",
    );
    expect($manifest->files)->toBe([
        'pictures/one.jpg' => ['hash' => $a, 'bytes' => null],
        'two words.txt' => ['hash' => $b, 'bytes' => null],
        "odd/name\nline" => ['hash' => $a, 'bytes' => null],
        'three.txt' => ['hash' => null, 'bytes' => 12],
        'four/five' => ['hash' => null, 'bytes' => null],
    ])
        ->and($manifest->notes)->toBe([])
        ->and($manifest->bytes())->toBeNull();
    expect(Manifest::read("5\ta\n7\tb\n")->bytes())->toBe(12);
});

it('joins checksums and sizes of the same files', function () use ($a) {
    $manifest = Manifest::read("{$a}  ./one\n9\t./one\n");
    expect($manifest->files)->toBe(['one' => ['hash' => $a, 'bytes' => 9]])
        ->and($manifest->notes)->toBe([])
        ->and($manifest->bytes())->toBe(9);
});

it('names lines that are none of these', function () use ($a) {
    $manifest = Manifest::read(
        "sha256sum: x: no such file\n".str_repeat('c', 40)."  sha1.txt\n{$a}  same\n{$a}  same\n",
    );
    expect($manifest->notes)->toBe([
        'Line 1: "sha256sum: x: no such file" is not a line of sha256sum; left out.',
        'Line 2: "'.mb_substr(str_repeat('c', 40).'  sha1.txt', 0, 50).'" is not a line of sha256sum; left out.',
        'Line 4: "same" stands there twice; the later line counts.',
    ])
        ->and(array_keys($manifest->files))->toBe(['same']);
    expect(fn () => Manifest::read(" \n"))->toThrow(UnreadableInventory::class, 'Nothing was pasted');
});

it('says what is missing, differs and is there besides', function () use ($a, $b) {
    $of = fn (string $one, string $two) => ManifestComparison::of(Manifest::read($one), Manifest::read($two));
    $same = $of("{$a}  x\n{$b}  y\n", "{$b}  y\n{$a}  x\n{$a}  z\n");
    expect($same->proves())->toBeTrue()
        ->and($same->besides)->toBe(['z'])
        ->and($same->proven)->toBe(2)
        ->and($same->sentence())->toBe('All 2 files are in the copy with equal checksums.');
    $differs = $of("{$a}  x\n{$b}  y\n{$a}  w\n", "{$b}  x\n{$b}  y\n");
    expect($differs->missing)->toBe(['w'])
        ->and($differs->differing)->toBe(['x'])
        ->and($differs->proves())->toBeFalse()
        ->and($differs->sentence())->toBe('1 missing, 1 differ, of 3 files.');
    $sizes = $of("5\tx\n6\ty\n", "5\tx\n6\ty\n");
    expect($sizes->proves())->toBeFalse()
        ->and($sizes->sentence())->toBe(
            'All 2 files are in the copy; 0 of them are proven by checksums, the others by name and size only.',
        );
    expect($of("5\tx\n", "6\tx\n")->differing)->toBe(['x'])->and($of("{$a}  x\n", "5\tx\n")->proven)->toBe(0);
});

it('sees through different roots of the two lists', function () use ($a, $b) {
    $compared = ManifestComparison::of(
        Manifest::read("{$a}  /home/crew/papers/x.txt\n{$b}  /home/crew/papers/sub/y.txt\n"),
        Manifest::read("{$a}  ./backup-7/x.txt\n{$b}  ./backup-7/sub/y.txt\n"),
    );
    expect($compared->proves())->toBeTrue()
        ->and($compared->rootSource)->toBe('/home/crew/papers/')
        ->and($compared->rootCopy)->toBe('backup-7/');
    $single = ManifestComparison::of(
        Manifest::read("{$a}  papers/x.txt\n"),
        Manifest::read("{$a}  papers/x.txt\n{$b}  rota/y.txt\n"),
    );
    expect($single->proves())->toBeTrue()->and($single->besides)->toBe(['rota/y.txt']);
});

it('takes a number before a name for a size only where a tab or every other line says so', function (
    string $text,
    array $sizes,
) {
    expect(array_map(fn (array $file): ?int => $file['bytes'], Manifest::read($text)->files))->toBe($sizes);
})->with([
    'a tab' => ["12\tone.txt\n2019 regatta.jpg\n", ['one.txt' => 12, '2019 regatta.jpg' => null]],
    'every line' => ["  12 one.txt\n2019  regatta.jpg\n", ['one.txt' => 12, 'regatta.jpg' => 2019]],
    'not every line' => ["12 one.txt\nrota.txt\n", ['12 one.txt' => null, 'rota.txt' => null]],
    'beside checksums' => [str_repeat('a', 64)."  one.txt\n12 one.txt\n", ['one.txt' => 12]],
    'comments and blank lines do not count' => ["# sizes\n\n12 one.txt\n", ['one.txt' => 12]],
    'more digits than a size has' => ["1234567890123456789\tone.txt\n", ["1234567890123456789\tone.txt" => null]],
    'nothing' => ["0\tempty.txt\n", ['empty.txt' => 0]],
]);

it('refuses more than a list of one machine holds', function () {
    expect(fn () => Manifest::read(str_repeat('a', Manifest::LIMIT + 1)))
        ->toThrow(UnreadableInventory::class, 'sha256sum');
});

it('proves nothing by an empty list and by hashes on one side', function () use ($a) {
    $of = fn (string $one, string $two) => ManifestComparison::of(Manifest::read($one), Manifest::read($two));
    expect($of("# nothing\n", "# nothing\n")->proves())->toBeFalse();
    expect($of("{$a}  x\n", "x\n")->proves())->toBeFalse();
    expect($of("{$a}  x\n", "x\n")->sentence())->toBe(
        'All 1 files are in the copy; 0 of them are proven by checksums, the others by name and size only.',
    );
    expect($of("{$a}  x\n5\tx\n", "{$a}  x\n6\tx\n")->differing)->toBe(['x']);
});

it('keeps names that are numbers as names', function () use ($a, $b) {
    $compared = ManifestComparison::of(
        Manifest::read("{$a}  p/2019\n{$b}  p/2020\n"),
        Manifest::read("{$a}  q/2019\n{$b}  q/2021\n"),
    );
    expect($compared->missing)->toBe(['2020']);
    expect($compared->besides)->toBe(['2021']);
    expect($compared->proven)->toBe(1);
    expect([$compared->source, $compared->copy])->toBe([2, 2]);
});

it('cuts only whole folders that all paths share', function () use ($a, $b) {
    $compared = ManifestComparison::of(
        Manifest::read("{$a}  crew/papers/x\n{$b}  crew/paper/y\n"),
        Manifest::read("{$a}  papers/x\n{$b}  paper/y\n"),
    );
    expect($compared->rootSource)->toBe('crew/');
    expect($compared->rootCopy)->toBeNull();
    expect($compared->proves())->toBeTrue();
    $none = ManifestComparison::of(
        Manifest::read("{$a}  x\n{$b}  crew/y\n"),
        Manifest::read("{$a}  x\n{$b}  crew/y\n"),
    );
    expect([$none->rootSource, $none->rootCopy])->toBe([null, null]);
});

it('says of sorted streams what it says of lists', function () use ($a, $b) {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(11));
    $sorted = function (Manifest $manifest, string $root): array {
        $records = array_map(
            fn (string|int $path, array $file): array => [
                substr((string) $path, strlen($root)),
                $file['hash'],
                $file['bytes'],
            ],
            array_keys($manifest->files),
            $manifest->files,
        );
        usort($records, fn (array $one, array $two): int => strcmp($one[0], $two[0]));

        return $records;
    };
    for ($round = 0; $round < 200; $round++) {
        $list = fn (
            string $root,
        ): string => implode('', array_map(fn (string $name): string => match ($random->getInt(0, 5)) {
            0 => '',
            1 => "{$b}  {$root}{$name}\n",
            2 => "5\t{$root}{$name}\n",
            3 => "{$root}{$name}\n",
            default => "{$a}  {$root}{$name}\n",
        }, ['a', 'b/c', 'b.c', '10', '9', 'Z', 'é'])).("{$a}  {$root}always\n");
        [$one, $two] = [Manifest::read($list('')), Manifest::read($list('/copy/'))];
        $short = ManifestComparison::of($one, $two);
        $long = ManifestComparison::ofSorted(
            $sorted($one, (string) $short->rootSource),
            $sorted($two, (string) $short->rootCopy),
            (string) $short->rootSource,
            (string) $short->rootCopy,
        );
        $names = fn (array $paths): array => [sort($paths, SORT_STRING), $paths][1];
        expect([
            $long->sentence(),
            $long->proves(),
            $long->proven,
            $long->source,
            $long->copy,
            $long->rootSource,
            $long->rootCopy,
            $long->missing,
            $long->differing,
            $long->besides,
            $long->missingCount,
            $long->differingCount,
            $long->besidesCount,
        ])
            ->toBe([
                $short->sentence(),
                $short->proves(),
                $short->proven,
                $short->source,
                $short->copy,
                $short->rootSource,
                $short->rootCopy,
                $names($short->missing),
                $names($short->differing),
                $names($short->besides),
                count($short->missing),
                count($short->differing),
                count($short->besides),
            ]);
    }
});

it('joins neighbours of one path, keeps the first thousand names and counts all', function () use ($a, $b) {
    $of = fn (array $one, array $two) => ManifestComparison::ofSorted($one, $two, '', '/x/');
    $joined = $of([['f', $a, null], ['f', null, 7]], [['f', $a, 8]]);
    expect($joined->source)->toBe(1)
        ->and($joined->differing)->toBe(['f'])
        ->and($joined->rootSource)->toBeNull()
        ->and($joined->rootCopy)->toBe('/x/');
    expect($of([['f', $a, null], ['f', $b, null]], [['f', $b, null]])->proven)->toBe(1)
        ->and($of([['f', null, 7], ['f', $a, null]], [['f', $a, 7]])->proves())->toBeTrue();
    // Of two lines that say the same kind of thing, or nothing, the later one counts.
    expect($of([['f', $a, null], ['f', null, null]], [['f', $b, null]]))->differing->toBe([])->proven->toBe(0)
        ->and($of([['f', null, 7], ['f', null, 8]], [['f', null, 8]])->differing)->toBe([])
        ->and($of([['f', null, 7], ['f', null, 8]], [['f', null, 7]])->differing)->toBe(['f'])
        ->and($of([['f', null, null], ['f', $a, null]], [['f', $b, null]])->differing)->toBe(['f'])
        ->and($of([['f', $a, null], ['f', $a, 7]], [['f', $a, 8]])->differing)->toBe(['f'])
        ->and($of([['f', $a, 7], ['f', null, 8]], [['f', $b, 8]])->differing)->toBe([]);
    $many = $of(array_map(fn (int $i): array => [sprintf('%05d', $i), $a, null], range(1, 1500)), [['zz', $a, null]]);
    expect($many->missing)->toHaveCount(1000)
        ->and($many->missingCount)->toBe(1500)
        ->and($many->besidesCount)->toBe(1)
        ->and($many->hasNothingInCommon())->toBeTrue()
        ->and($many->sentence())->toBe('1500 missing, 0 differ, of 1500 files.')
        ->and($of([['f', $a, null]], [['f', $a, null]])->hasNothingInCommon())->toBeFalse()
        ->and($of([], [])->proves())->toBeFalse();
});
