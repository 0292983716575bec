<?php

use Cobblestone\Assessment\Memory\MemoryBench;
use Cobblestone\Assessment\Memory\MemoryFault;
use Cobblestone\Assessment\Memory\MemoryTest;
use Cobblestone\Brief\TriedMemory;

it('takes the least and the most it can search', function () {
    $eight = array_fill_keys(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'], 1024);
    expect(MemoryBench::of($eight, array_keys($eight))->modules)->toHaveCount(8);
    expect(MemoryBench::of(['M1' => 1], ['A'])->slots)->toBe(['A']);
});

it('refuses one more, with a sentence', function (Closure $make, string $sentence) {
    expect($make)->toThrow(InvalidArgumentException::class, $sentence);
})->with([
    'nine slots' => [
        fn () => MemoryBench::of(['M1' => 8], range(1, 9)),
        'A memory sheet takes 1 to 8 modules and slots.',
    ],
    'nine modules' => [
        fn () => MemoryBench::of(array_fill(0, 9, 8), range(1, 8)),
        'A memory sheet takes 1 to 8 modules and slots.',
    ],
    'more than a module holds' => [
        fn () => MemoryBench::of(['M1' => 1025], ['A']),
        'Module M1: its size is wanted in whole GiB, 1 to 1024.',
    ],
    'a slot of a rule that is not there' => [
        fn () => MemoryBench::of(['M1' => 8], ['A', 'B'], [['A', 'Z']]),
        'Slots A, Z: a population rule names a slot that is not there.',
    ],
]);

it('tries every way two modules go into two slots', function () {
    expect(MemoryBench::of(['M1' => 8, 'M2' => 8], ['A', 'B'])->placements())->toBe([
        ['M1' => 'A'],
        ['M1' => 'A', 'M2' => 'B'],
        ['M1' => 'B'],
        ['M1' => 'B', 'M2' => 'A'],
        ['M2' => 'A'],
        ['M2' => 'B'],
    ]);
});

it('tries only singles, pairs and the whole set of many', function () {
    $placements = MemoryBench::of(array_fill_keys(['a', 'b', 'c', 'd', 'e'], 8), [
        '1',
        '2',
        '3',
        '4',
        '5',
    ])->placements();
    $sizes = array_count_values(array_map(count(...), $placements));
    expect($sizes)->toBe([1 => 25, 2 => 200, 5 => 1]);
    expect($placements[225])->toBe(['a' => '1', 'b' => '2', 'c' => '3', 'd' => '4', 'e' => '5']);
});

it('counts slots too: four modules in five slots are many', function () {
    $sizes = array_count_values(
        array_map(
            count(...),
            MemoryBench::of(array_fill_keys(['a', 'b', 'c', 'd'], 8), ['1', '2', '3', '4', '5'])->placements(),
        ),
    );
    expect(array_keys($sizes))->toBe([1, 2, 4]);
    expect($sizes[4])->toBe(1);
    $all = array_count_values(
        array_map(
            count(...),
            MemoryBench::of(array_fill_keys(['a', 'b', 'c', 'd'], 8), ['1', '2', '3', '4'])->placements(),
        ),
    );
    expect($all)->toBe([1 => 16, 2 => 72, 3 => 96, 4 => 24]);
});

it('tries the bench\'s own module alone in every slot', function () {
    $bench = MemoryBench::of(['M1' => 8], ['A', 'B'], spare: 4);
    expect($bench->placements())->toBe([
        ['M1' => 'A'],
        ['M1' => 'B'],
        [MemoryBench::SPARE => 'A'],
        [MemoryBench::SPARE => 'B'],
    ]);
    expect($bench->gibibytes([MemoryBench::SPARE => 'A']))->toBe(4);
    expect($bench->gibibytes(['M1' => 'A', MemoryBench::SPARE => 'B']))->toBe(12);
    expect($bench->gibibytes(['unknown' => 'A']))->toBe(0);
});

it('leaves soldered memory where it is', function () {
    expect(MemoryBench::of(['M1' => 8, 'M2' => 8], ['A', 'B', 'C'], soldered: true)->placements())->toBe([
        ['M1' => 'A', 'M2' => 'B'],
    ]);
    $kinds = array_map(
        fn (MemoryFault $fault): string => $fault->kind,
        MemoryFault::all(MemoryBench::of(['M1' => 8], ['A'], soldered: true), false),
    );
    expect($kinds)->toBe(['not-memory', 'board']);
});

it('keeps to the sets a board may be filled with, whatever their order', function () {
    $bench = MemoryBench::of(['M1' => 8, 'M2' => 8], ['A1', 'A2', 'B2'], [['B2', 'A2'], ['A2']]);
    expect($bench->allows(['M1' => 'A2', 'M2' => 'B2']))->toBeTrue();
    expect($bench->allows(['M1' => 'B2', 'M2' => 'A2']))->toBeTrue();
    expect($bench->allows(['M2' => 'A2']))->toBeTrue();
    expect($bench->allows(['M1' => 'B2']))->toBeFalse();
    expect($bench->allows(['M1' => 'A1', 'M2' => 'A2']))->toBeFalse();
    expect(MemoryBench::of(['M1' => 8], ['A1', 'A2'])->allows(['M1' => 'A2']))->toBeTrue();
});

it('weighs every fault so that a kind\'s share is the same whatever stands on the bench', function (
    int $modules,
    int $slots,
) {
    $bench = MemoryBench::of(
        array_fill_keys(array_slice(['M1', 'M2', 'M3', 'M4'], 0, $modules), 8),
        array_slice(['A', 'B', 'C', 'D'], 0, $slots),
    );
    $shares = [];
    foreach (MemoryFault::all($bench, true) as $fault) {
        $shares[$fault->kind] = ($shares[$fault->kind] ?? 0) + $fault->weight;
    }
    ksort($shares);
    expect(array_map(fn (float $share): float => round($share, 9), $shares))->toBe([
        'board' => 0.05,
        'module' => 0.45,
        'not-memory' => 0.2,
        'pair' => 0.08,
        'profile' => 0.1,
        'slot' => 0.12,
    ]);
})->with([[1, 2], [2, 2], [2, 4], [4, 4]]);

it('looks for no pair where there is one slot, and for no profile where none is set', function () {
    expect(
        array_map(
            fn (MemoryFault $fault): string => $fault->title(),
            MemoryFault::all(MemoryBench::of(['M1' => 8], ['Slot A']), false),
        ),
    )->toBe(['not memory', 'board', 'module M1', 'slot A']);
    expect(
        array_map(
            fn (MemoryFault $fault): string => $fault->title(),
            MemoryFault::all(MemoryBench::of(['M1' => 8], ['DIMM1', 'DIMM2']), true),
        ),
    )->toBe([
        'not memory',
        'board',
        'the faster profile is unstable',
        'module M1',
        'module M1 in slot DIMM1 together',
        'module M1 in slot DIMM2 together',
        'slot DIMM1',
        'slot DIMM2',
    ]);
});

it('knows which test meets which fault', function (string $title, array $placed, bool $faster, bool $met) {
    $bench = MemoryBench::of(['M1' => 8, 'M2' => 8], ['A', 'B']);
    [$fault] = array_values(
        array_filter(MemoryFault::all($bench, true), fn (MemoryFault $one): bool => $one->title() === $title),
    );
    expect($fault->isMetBy(new MemoryTest($placed, $faster, 2, MemoryTest::CLEAN)))->toBe($met);
})->with([
    ['module M1', ['M1' => 'B'], false, true],
    ['module M1', ['M2' => 'B'], false, false],
    ['slot A', ['M2' => 'A'], false, true],
    ['slot A', ['M2' => 'B'], false, false],
    ['module M1 in slot A together', ['M1' => 'A', 'M2' => 'B'], false, true],
    ['module M1 in slot A together', ['M1' => 'B', 'M2' => 'A'], false, false],
    ['board', ['M1' => 'A'], false, true],
    ['the faster profile is unstable', ['M1' => 'A'], true, true],
    ['the faster profile is unstable', ['M1' => 'A'], false, false],
    ['not memory', ['M1' => 'A'], true, false],
]);

it('takes every outcome but a clean one for a failure', function () {
    $test = fn (string $outcome): MemoryTest => MemoryTest::of(new TriedMemory(['M1' => 'A'], 'faster', 3, $outcome));
    expect([$test('clean')->failed(), $test('errors')->failed(), $test('no-start')->failed()])->toBe([
        false,
        true,
        true,
    ]);
    expect([$test('clean')->fasterProfile, $test('clean')->passes])->toBe([true, 3]);
    expect(MemoryTest::of(new TriedMemory([], 'standard', 1, 'clean'))->fasterProfile)->toBeFalse();
});
