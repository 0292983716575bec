<?php

use Cobblestone\Assessment\Memory\MemoryBench;
use Cobblestone\Assessment\Memory\MemoryFaultFinder;
use Cobblestone\Assessment\Memory\MemoryTest;

it('takes a machine that does not start for a failed test', function () {
    $bench = MemoryBench::of(['M1' => 8, 'M2' => 8], ['A', 'B']);
    $tests = [
        new MemoryTest(['M1' => 'A'], false, 1, MemoryTest::NO_START),
        new MemoryTest(['M2' => 'A'], false, 2, MemoryTest::CLEAN),
        new MemoryTest(['M1' => 'B'], false, 1, MemoryTest::NO_START),
    ];
    expect(MemoryFaultFinder::of($bench, $tests, false)->verdict()->fault?->title())->toBe('module M1');
});

it('keeps to the slots that may be filled together', function () {
    $bench = MemoryBench::of(['M1' => 8, 'M2' => 8], ['A1', 'A2', 'B1', 'B2'], [['A2'], ['A2', 'B2']]);
    foreach ($bench->placements() as $placed) {
        expect($bench->allows($placed))->toBeTrue();
    }
    expect($bench->placements())->toHaveCount(4)
        ->and(MemoryFaultFinder::of($bench, [], false)->wholeSet())->toHaveCount(2)->toContain('A2')->toContain('B2');
});

it('trusts memory nobody had errors on, and counts time by size, passes and swapping', function () {
    $bench = MemoryBench::of(['M1' => 8, 'M2' => 16], ['A', 'B'], spare: 4);
    $finder = MemoryFaultFinder::of($bench, [], false);
    expect($finder->verdict()->trusted)->toBeTrue()
        ->and($finder->verdict()->sentence)->toBe('Nothing is tested yet.')
        ->and($finder->minutes(['M1' => 'A', 'M2' => 'B']))->toBe(72.0)
        ->and($finder->minutes(['M1' => 'B']))->toBe(29.0)
        ->and($finder->minutes([MemoryBench::SPARE => 'A']))->toBe(17.0);
});

it('needs more certainty to acquit than to convict', function () {
    $bench = MemoryBench::of(['M1' => 8], ['A']);
    $once = MemoryFaultFinder::of($bench, [new MemoryTest(['M1' => 'A'], false, 1, MemoryTest::CLEAN)], false);
    $twice = MemoryFaultFinder::of(
        $bench,
        [
            new MemoryTest(['M1' => 'A'], false, 1, MemoryTest::CLEAN),
            new MemoryTest(['M1' => 'A'], false, 2, MemoryTest::CLEAN),
        ],
        false,
    );
    expect($once->verdict()->isSettled())->toBeFalse()
        ->and($once->next())->not->toBeNull()
        ->and($twice->verdict()->sentence)->toBe('Not memory, with 99 % confidence.')
        ->and($twice->next())->toBeNull();
});

it('refuses a sheet that cannot be', function (Closure $make, string $sentence) {
    expect($make)->toThrow(InvalidArgumentException::class, $sentence);
})->with([
    [fn () => MemoryBench::of([], ['A']), '1 to 8 modules'],
    [fn () => MemoryBench::of(['M1' => 8, 'M2' => 8], ['A']), 'at least as many slots'],
    [fn () => MemoryBench::of(['M1' => 8], ['A', 'A']), 'Name every slot once'],
    [fn () => MemoryBench::of(['M1' => 0], ['A']), 'whole GiB'],
    [fn () => MemoryBench::of(['M1' => 8], ['A'], [['Z']]), 'names a slot that is not there'],
    [fn () => MemoryBench::of(['bench module' => 8], ['A']), 'its size is wanted'],
]);
