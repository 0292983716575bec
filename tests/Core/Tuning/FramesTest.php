<?php

use Cobblestone\Tuning\Frames\FrameComparison;
use Cobblestone\Tuning\Frames\FrameLog;
use Cobblestone\Tuning\Frames\FrameLogFault;
use Cobblestone\Tuning\Frames\FrameRun;
use Cobblestone\Tuning\Frames\FrameSettings;
use Cobblestone\Tuning\Frames\Spread;

/** @param  list<float|int|string>  $values */
function frameLog(array $values, string $head = 'frame time (ms)', string $name = 'a run'): FrameLog
{
    return FrameLog::read($name, [$head."\n", ...array_map(fn ($one): string => "{$one}\n", $values)]);
}

/** Frames of a steady rate, with a little that differs from frame to frame. */
function steady(float $rate, int $frames, float $wave = 0.05): FrameLog
{
    $values = [];
    for ($i = 0; $i < $frames; $i++) {
        $values[] = round(1000 / $rate * (1 + $wave * sin($i * 12.9898)), 4);
    }

    return frameLog($values);
}

it('finds the times of frames under several names, in several units', function (
    string $head,
    array $lines,
    array $seconds,
) {
    $log = FrameLog::read('x', [$head, ...$lines]);
    expect(array_map(fn (float $one): float => round($one, 6), $log->seconds))->toBe($seconds);
})->with([
    ['frame time (ms)', ['16', '17'], [0.016, 0.017]],
    ['frame_time_ms', ['16.5', '17'], [0.0165, 0.017]],
    ['Frame milliseconds', ['16', '17'], [0.016, 0.017]],
    ['frame;frame seconds;fan', ['1;0,016;900', '2;0,017;900'], [0.016, 0.017]],
    ['frame_s', ['0.016', '0.017'], [0.016, 0.017]],
    ['frame time us', ['16000', '17000'], [0.016, 0.017]],
    ['frame time', ['16', '17'], [0.016, 0.017]],
    ['frametime', ['0.016', '0.017'], [0.016, 0.017]],
    ['frame time', ['16000', '17000'], [0.016, 0.017]],
    ["heat\tframe_ms", ["60\t16", "61\t17"], [0.016, 0.017]],
    ['"frame number","frame time (ms)"', ['"1","16"', '"2","17"'], [0.016, 0.017]],
    ['time (s),heat', ['10.000,1', '10.016,1', '10.033,1'], [0.016, 0.017]],
    ['time (s),frame ms', ['10.000,16', '10.016,17'], [0.016, 0.017]],
    ['elapsed_ms', ['0', '16', '33'], [0.016, 0.017]],
    ['frame_ms', ["16\r", "17\r", ''], [0.016, 0.017]],
]);

it('refuses what says nothing, with the reason', function (array $lines, string $says) {
    expect(fn () => FrameLog::read('x', $lines))->toThrow(FrameLogFault::class, $says);
})->with([
    'nothing' => [[], 'no times of frames'],
    'no lines' => [['frame_ms'], 'no times of frames'],
    'no such column' => [['heat,fan', '60,900'], 'No column is called frame time, or time: there are heat, fan.'],
    'only a count of frames' => [['frame number,heat', '1,60'], 'No column'],
    'words' => [['frame_ms', 'a', 'b', 'c'], 'no times'],
    'mostly wrong' => [['frame_ms', '16', '17', 'x', '16'], '1 of its lines have no time in them: Line 4: "x"'],
    'a clock set back' => [['time (s)', '1', '2', '1.5', '3'], 'Its clock goes back after line 3'],
    'a clock that stands' => [['time (s)', '1', '1', '1'], 'stands still'],
    'gaps alone' => [['frame_s', '9', '10', '11'], 'no times'],
    'an empty first line' => [['', 'frame_ms', '16'], 'names no columns'],
]);

it('leaves out what is no time, and says which line', function (string $bad) {
    $log = frameLog([...array_fill(0, 200, 16), $bad, ...array_fill(0, 200, 16)]);
    expect($log->seconds)->toHaveCount(400)
        ->and($log->notes[0])->toContain('Line 202: "'.$bad.'" is no time');
})->with(['-3', 'INF', 'NAN', '0', '1e999', 'x', '16 ms']);

it('counts a gap for none, and says so', function () {
    $log = frameLog([16, 16, 2001, 16, 5000, 16, 2000]);
    expect($log->gaps)->toBe(2)
        ->and($log->seconds)->toHaveCount(5)
        ->and($log->notes)->toBe(['2 longer than 2 s are gaps, and left out.'])
        ->and(frameLog([16, 2001, 16])->notes)->toBe(['1 longer than 2 s is a gap, and left out.']);
});

it('says what it took a unit for', function (string $head, array $values, array $notes) {
    expect(frameLog($values, $head)->notes)->toBe($notes);
})->with([
    ['frame time', [16, 17], ['"frame time" does not say its unit: taken for milliseconds.']],
    ['frame time', [0.016, 0.017], ['"frame time" does not say its unit: taken for seconds.']],
    ['frame time', [16000, 17000], ['"frame time" does not say its unit: taken for microseconds.']],
    ['frame_ms', [16, 17], []],
]);

it('counts frames over time, never the mean of rates', function () {
    // Half of the frames at 10 ms, half at 30 ms: 50 a second, where the mean of both rates were 66.7.
    $run = FrameRun::of([frameLog([...array_fill(0, 300, 10), ...array_fill(0, 300, 30)])], new FrameSettings);
    expect(round($run->rate, 6))->toBe(50.0)->and($run->frames)->toBe(600)->and(round($run->seconds, 6))->toBe(12.0);
});

it('takes the slowest hundredth by its time', function (array $values, float $low) {
    expect(round(FrameRun::of([frameLog($values)], new FrameSettings)->low, 4))->toBe($low);
})->with([
    // Of 1000 frames ten: at 50 ms.
    [[...array_fill(0, 990, 10), ...array_fill(0, 10, 50)], 20.0],
    // Of 100 one, of 101 two.
    [[...array_fill(0, 99, 10), 40], 25.0],
    [[...array_fill(0, 99, 10), 40, 60], 20.0],
    [[10, 20], 50.0],
]);

it('knows between what the rate lies only from three runs or three seconds on', function (array $runs, ?int $of) {
    $run = FrameRun::of($runs, new FrameSettings);
    expect($run->spread?->count)->toBe($of)->and($run->interval() === null)->toBe($of === null);
})->with([
    'two seconds' => [fn () => [steady(60, 125)], null],
    'three seconds' => [fn () => [steady(60, 190)], 3],
    'two runs of two seconds' => [fn () => [steady(60, 125), steady(60, 125)], 4],
    'three runs' => [fn () => [steady(60, 30), steady(61, 30), steady(62, 30)], 3],
]);

it('gives the interval of Student\'s t', function () {
    // Mean 60, standard deviation 1, three runs: 4.303 / √3.
    $spread = Spread::of([59.0, 60.0, 61.0]);
    expect(round((float) $spread->half(), 3))->toBe(2.484)
        ->and($spread->mean)->toBe(60.0)
        ->and(Spread::of([60.0])->half())->toBeNull()
        ->and(Spread::of([60.0])->halfOfDifference($spread))->toBeNull()
        ->and(Spread::of([5.0, 5.0])->halfOfDifference(Spread::of([6.0, 6.0])))->toBe(0.0)
        // Two samples of five with standard deviation 1.581: 2.306 × √(2.5/5 + 2.5/5).
        ->and(round((float) Spread::of(range(1.0, 5.0))->halfOfDifference(Spread::of(range(2.0, 6.0))), 3))
        ->toBe(2.306)
        ->and(round((float) Spread::of(array_merge(...array_fill(0, 20, [1.0, 2.0])))->half(), 4))->toBe(0.1619);
});

it('compares only at equal settings and power mode, and with enough of both', function (
    FrameSettings $then,
    FrameSettings $now,
    array $why,
) {
    $comparison = FrameComparison::of(
        FrameRun::of([steady(60, 400)], $then),
        FrameRun::of([steady(72, 400)], $now),
    );
    expect($comparison->why)->toBe($why)->and($comparison->isComparable())->toBe($why === []);
})->with([
    [new FrameSettings('high', '15 W'), new FrameSettings('High ', '15 w'), []],
    [new FrameSettings('high', '15 W'), new FrameSettings('low', '15 W'), [
        'Settings of the picture: high then, low now.',
    ]],
    [new FrameSettings('high', '15 W'), new FrameSettings('high', '10 W'), ['Power mode: 15 W then, 10 W now.']],
    [new FrameSettings('high'), new FrameSettings('high'), ['Nobody said the power mode of both.']],
    [new FrameSettings('high', '15 W'), new FrameSettings('high'), ['Nobody said the power mode of the second.']],
    [new FrameSettings(null, '15 W'), new FrameSettings('high', '15 W'), [
        'Nobody said the settings of the picture of the first.',
    ]],
]);

it('says how much faster, how much slower, or that these runs show nothing', function (
    float $was,
    float $is,
    string $says,
) {
    $same = new FrameSettings('high', '15 W');
    $comparison = FrameComparison::of(
        FrameRun::of([steady($was, 600)], $same),
        FrameRun::of([steady($is, 600)], $same),
    );
    expect($comparison->sentence())->toContain($says);
})->with([
    [60.0, 72.0, 'Faster by 20.0 %: between +20'],
    [72.0, 60.0, 'Slower by 16.7 %: between -1'],
    [60.0, 60.0, 'No difference that these runs show'],
]);

it('compares nothing that is too short', function () {
    $same = new FrameSettings('high', '15 W');
    $comparison = FrameComparison::of(FrameRun::of([steady(60, 60)], $same), FrameRun::of([steady(60, 600)], $same));
    expect($comparison->change())->toBeNull()
        ->and($comparison->sentence())->toContain('Not comparable. The first is shorter than 3 runs or 3 s');
});

it('keeps the notes of each run under its name', function () {
    $runs = [frameLog([16, 2001, 16], name: 'one.csv'), frameLog([16, 16], name: 'two.csv')];
    expect(FrameRun::of($runs, new FrameSettings)->notes)->toBe(['one.csv: 1 longer than 2 s is a gap, and left out.']);
});

it('takes a unit by the middle of the values, at the bounds too', function (array $values, string $unit) {
    expect(frameLog($values, 'frame time')->notes[0])->toEndWith("taken for {$unit}.");
})->with([
    [[1, 1, 1], 'milliseconds'], [[0.99, 0.99, 0.99], 'seconds'],
    [[1000, 1000, 1000], 'microseconds'], [[999, 999, 999], 'milliseconds'],
    // One slow frame at the start does not turn the whole log.
    [[5000, 16, 17, 16], 'milliseconds'],
]);

it('reads no further than it must of a line, and cuts what it cites', function () {
    $log = frameLog([...array_fill(0, 300, '16,1,2'), str_repeat('x', 60).',1'], 'frame_ms,heat,fan');
    expect($log->seconds)->toHaveCount(300)
        ->and($log->notes[0])->toBe('Line 302: "'.str_repeat('x', 30).'" is no time, and is left out.');
});

it('keeps at most twenty notes of lines, and goes on after an empty one', function () {
    $log = frameLog([...array_fill(0, 3000, 16), ...array_fill(0, 25, 'x'), '', 16]);
    expect($log->notes)->toHaveCount(20)->and($log->seconds)->toHaveCount(3001);
});

it('refuses a hundredth and more of wrong lines, not a hundredth', function () {
    expect(frameLog([...array_fill(0, 99, 16), 'x'])->seconds)->toHaveCount(99)
        ->and(fn () => frameLog([...array_fill(0, 98, 16), 'x']))->toThrow(FrameLogFault::class);
});

it('begins a new block at a second, and lets what is left at the end be', function () {
    expect(frameLog(array_fill(0, 5, 500))->blocks())->toBe([2.0, 2.0]);
});

it('is written and read again as it was', function () {
    $run = FrameRun::of([steady(60, 200), steady(61, 200)], new FrameSettings('high', '15 W'));
    $again = FrameRun::read(Cobblestone\Document\Fields::of(json_decode(json_encode($run->toArray()), true)));
    expect($again)->toEqual($run);
});
