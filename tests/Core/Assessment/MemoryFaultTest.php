<?php

use Cobblestone\Assessment\Memory\MemoryBench;
use Cobblestone\Assessment\Memory\MemoryFault;
use Cobblestone\Assessment\Memory\MemoryFaultFinder;
use Cobblestone\Assessment\Memory\MemoryTest;

/** Runs the suggested tests against a machine with that fault until the finder is settled. */
function hunt(MemoryBench $bench, MemoryFault $truth, bool $faster): array
{
    $tests = $faster
        ? [new MemoryTest(MemoryFaultFinder::of($bench, [], true)->wholeSet(), true, 2, MemoryTest::ERRORS)]
        : [];
    $minutes = 0.0;
    for ($i = count($tests); $i < 24; $i++) {
        $finder = MemoryFaultFinder::of($bench, $tests, $faster);
        $next = $finder->next();
        if ($next === null) {
            break;
        }
        $minutes += $next->minutes;
        $test = new MemoryTest($next->placed, false, $next->passes, MemoryTest::CLEAN);
        $tests[] = $truth->isMetBy($test)
            ? new MemoryTest($next->placed, false, $next->passes, MemoryTest::ERRORS)
            : $test;
    }

    return [MemoryFaultFinder::of($bench, $tests, $faster)->verdict(), count($tests) - ($faster ? 1 : 0), $minutes];
}

/** One module after the other into each slot until one stands out: how it is done without a sheet. */
function oneByOne(MemoryBench $bench, MemoryFault $truth): array
{
    $tests = [];
    $minutes = 0.0;
    $names = array_keys($bench->modules);
    foreach ($names as $module) {
        foreach ($bench->slots as $slot) {
            $placed = [(string) $module => $slot];
            $finder = MemoryFaultFinder::of($bench, $tests, false);
            if ($finder->verdict()->isSettled()) {
                break 2;
            }
            $minutes += $finder->minutes($placed);
            $test = new MemoryTest($placed, false, 2, MemoryTest::CLEAN);
            $tests[] = $truth->isMetBy($test) ? new MemoryTest($placed, false, 2, MemoryTest::ERRORS) : $test;
        }
    }

    return [
        count($tests),
        $minutes,
        MemoryFaultFinder::of($bench, $tests, false)->verdict()->fault?->title() === $truth->title(),
    ];
}

it('convicts the right one of all single faults, and never a module for a profile', function (int $count) {
    $modules = array_combine(array_slice(['M1', 'M2', 'M3', 'M4'], 0, $count), array_fill(0, $count, 8));
    $bench = MemoryBench::of($modules, array_slice(['A1', 'A2', 'B1', 'B2'], 0, max(2, $count)), spare: 8);
    $wrong = [];
    [$tests, $minutes, $baseTests, $baseMinutes, $cases] = [0, 0.0, 0, 0.0, 0];
    $right = 0;
    foreach ($count < 4 ? [false, true] : [false] as $faster) {
        foreach (MemoryFault::all($bench, $faster) as $truth) {
            // A fault that the modules as they stood would not have met was never complained about: there is nothing to
            // hunt.
            if (
                $faster
                    && ! $truth->isMetBy(new MemoryTest(
                        MemoryFaultFinder::of($bench, [], true)->wholeSet(),
                        true,
                        2,
                        MemoryTest::ERRORS,
                    ))
            ) {
                continue;
            }
            [$verdict, $made, $took] = hunt($bench, $truth, $faster);
            if ($verdict->fault?->title() !== $truth->title()) {
                $wrong[] = ($faster ? 'profile on, ' : '').$truth->title().' gave '
                    .($verdict->fault?->title() ?? 'open: '.$verdict->sentence);
            }
            if (! $faster) {
                [$alone, $aloneMinutes, $found] = oneByOne($bench, $truth);
                $right += $found ? 1 : 0;
                [$tests, $minutes, $baseTests, $baseMinutes, $cases] = [
                    $tests + $made, $minutes + $took, $baseTests + $alone, $baseMinutes + $aloneMinutes, $cases + 1,
                ];
            }
        }
    }
    // The figures that docs/decisions cites; shown with MEMORY_FIGURES=1.
    if (getenv('MEMORY_FIGURES') === '1') {
        fwrite(
            STDERR,
            sprintf(
                "\n%d modules, %d faults: all found, mean %.1f tests and %.0f min; one by one finds %d of them, mean "
                    ."%.1f tests and %.0f min\n",
                $count,
                $cases,
                $tests / $cases,
                $minutes / $cases,
                $right,
                $baseTests / $cases,
                $baseMinutes / $cases,
            ),
        );
    }
    expect($wrong)->toBe([])->and($right)->toBeLessThan($cases);
    if ($count === 4) {
        expect($tests)->toBeLessThan($baseTests)->and($minutes)->toBeLessThan($baseMinutes);
    }
})->with([1, 2, 4])->group('slow');

it('goes back to standard speed first, and never says bad module while a faster profile is on', function () {
    $bench = MemoryBench::of(['M1' => 8, 'M2' => 8], ['A', 'B']);
    $errors = [
        new MemoryTest(['M1' => 'A', 'M2' => 'B'], true, 4, MemoryTest::ERRORS),
        new MemoryTest(['M1' => 'A'], true, 4, MemoryTest::ERRORS),
        new MemoryTest(['M2' => 'A'], true, 4, MemoryTest::CLEAN),
        new MemoryTest(['M1' => 'B'], true, 4, MemoryTest::ERRORS),
    ];
    $finder = MemoryFaultFinder::of($bench, $errors, true);
    expect($finder->verdict()->isSettled())->toBeFalse()
        ->and($finder->verdict()->sentence)->toBe(
            'Only tests at standard speed count against a module; none was made yet.',
        )
        ->and($finder->verdict()->trusted)->toBeFalse()
        ->and($finder->next()?->placed)->toBe(['M1' => 'A', 'M2' => 'B'])
        ->and($finder->next()?->sentence)->toStartWith('Set memory to standard speed first');
    $vanished = MemoryFaultFinder::of(
        $bench,
        [
            $errors[0],
            new MemoryTest(['M1' => 'A', 'M2' => 'B'], false, 2, MemoryTest::CLEAN),
            new MemoryTest(['M1' => 'A', 'M2' => 'B'], false, 2, MemoryTest::CLEAN),
        ],
        true,
    )
        ->verdict();
    expect($vanished->fault?->kind)->toBe(MemoryFault::PROFILE)
        ->and($vanished->sentence)->toStartWith('The faster profile is unstable, with 9')->toContain('No module is bad')
        ->and($vanished->trusted)->toBeTrue();
});

it('does not convict a module by tests with the profile on, even once something passed at standard speed', function () {
    $bench = MemoryBench::of(['M1' => 8, 'M2' => 8], ['A', 'B']);
    $tests = [
        new MemoryTest(['M1' => 'A', 'M2' => 'B'], true, 2, MemoryTest::ERRORS),
        new MemoryTest(['M2' => 'A'], true, 2, MemoryTest::CLEAN),
        new MemoryTest(['M1' => 'B'], true, 2, MemoryTest::ERRORS),
        new MemoryTest(['M1' => 'A'], true, 2, MemoryTest::ERRORS),
        new MemoryTest(['M2' => 'B'], false, 2, MemoryTest::CLEAN),
    ];
    expect(MemoryFaultFinder::of($bench, $tests, true)->verdict()->fault?->kind)->not->toBe(MemoryFault::MODULE);
});

it('blames the board where memory is soldered', function () {
    $bench = MemoryBench::of(['soldered' => 16], ['on board'], soldered: true);
    $verdict = MemoryFaultFinder::of(
        $bench,
        [new MemoryTest(['soldered' => 'on board'], false, 2, MemoryTest::ERRORS)],
        false,
    )
        ->verdict();
    expect($verdict->fault?->kind)->toBe(MemoryFault::BOARD)
        ->and($verdict->sentence)->toContain('The memory is soldered: the board is bad')
        ->and($verdict->trusted)->toBeFalse();
});

it('does not convict a module that failed in one slot only', function () {
    $bench = MemoryBench::of(['M1' => 8, 'M2' => 8], ['A', 'B']);
    $tests = [
        new MemoryTest(['M1' => 'A'], false, 2, MemoryTest::ERRORS),
        new MemoryTest(['M2' => 'A'], false, 2, MemoryTest::CLEAN),
    ];
    $verdict = MemoryFaultFinder::of($bench, $tests, false)->verdict();
    expect($verdict->isSettled())->toBeFalse()
        ->and($verdict->suspects[0]->title)->toBe('module M1')
        ->and($verdict->sentence)->toStartWith('Not settled. Still possible: module M1');
    $module = MemoryFaultFinder::of(
        $bench,
        [...$tests, new MemoryTest(['M1' => 'B'], false, 2, MemoryTest::ERRORS)],
        false,
    )
        ->verdict();
    $pair = MemoryFaultFinder::of(
        $bench,
        [
            ...$tests,
            new MemoryTest(['M1' => 'B'], false, 2, MemoryTest::CLEAN),
            new MemoryTest(['M2' => 'A'], false, 2, MemoryTest::CLEAN),
        ],
        false,
    )
        ->verdict();
    expect($pair->isSettled())->toBeFalse()->and($pair->suspects[0]->title)->toBe('module M1 in slot A together');
    $pair = MemoryFaultFinder::of(
        $bench,
        [
            ...$tests,
            new MemoryTest(['M1' => 'B'], false, 3, MemoryTest::CLEAN),
            new MemoryTest(['M2' => 'A'], false, 3, MemoryTest::CLEAN),
        ],
        false,
    )
        ->verdict();
    expect($module->sentence)->toBe('Module M1 is bad, with 99 % confidence.')
        ->and($pair->fault?->title())->toBe('module M1 in slot A together')
        ->and($pair->trusted)->toBeFalse();
});
