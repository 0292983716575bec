<?php

use Cobblestone\Tuning\Frames\FrameLog;
use Cobblestone\Tuning\Frames\FrameReport;
use Cobblestone\Tuning\Frames\FrameRun;
use Cobblestone\Tuning\Frames\FrameSettings;

it('gives what was counted with every input that it came from', function () {
    $run = fn (float $ms, string $power, array $names, int $frames = 400): FrameRun => FrameRun::of(array_map(
        static fn (string $name, int $i): FrameLog => FrameLog::read($name, ["frame_ms\n", ...array_map(
            static fn (int $n): string => round($ms * (1 + 0.01 * $i + 0.02 * sin($n * 7.1)), 3)."\n",
            range(1, $frames),
        )]),
        $names,
        array_keys($names),
    ), new FrameSettings('high', $power));
    $alone = FrameReport::of($run(20, '15 W', ['a.csv'], 40));
    expect($alone)->toMatchArray([
        'frames' => 40, 'rate' => 49.97, 'interval' => null, 'runs' => 1, 'logs' => ['a.csv'], 'settings' => 'high',
        'power' => '15 W', 'notes' => [], 'comparable' => null, 'why' => [], 'change' => null, 'against' => null,
    ])->and($alone['seconds'])->toBe(0.801)->and($alone['low_1_percent'])->toBe(49.02);
    $both = FrameReport::of($run(16, '15 W', ['b1', 'b2', 'b3']), $run(20, '15 W', ['a1', 'a2', 'a3']));
    expect($both['comparable'])->toBeTrue()
        ->and($both['why'])->toBe([])
        ->and($both['change'][1])->toBeGreaterThan(0.24)->toBeLessThan(0.26)
        ->and($both['runs'])->toBe(3)
        ->and($both['figures'])->toHaveCount(3)
        ->and($both['interval'][0])->toBeLessThan($both['rate'])
        ->and(round($both['interval'][1], 2))->toBe($both['interval'][1])
        ->and($both['against'])->toMatchArray(['logs' => ['a1', 'a2', 'a3'], 'runs' => 3])
        ->and(round($both['figures'][0], 3))->toBe($both['figures'][0]);
    $other = FrameReport::of($run(16, '10 W', ['b1', 'b2', 'b3']), $run(20, '15 W', ['a1', 'a2', 'a3']));
    expect($other['comparable'])->toBeFalse()
        ->and($other['change'])->toBeNull()
        ->and($other['why'])->toBe(['Power mode: 15 W then, 10 W now.']);
});
