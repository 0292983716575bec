<?php

declare(strict_types=1);

namespace App\Drawing;

use Cobblestone\Tuning\Frames\FrameRun;

/** Rates before and after as two shelves of grains on one ladder; the bar beside them is where the rate lies. */
final readonly class FrameDrawing
{
    public const WIDTH = 560;

    public const HEIGHT = 210;

    private const TOP = 14;

    private const FLOOR = 180;

    private const SHELVES = ['before' => 90, 'after' => 330];

    private const SHELF = 180;

    private const MOST = 240;

    /**
     * @param  list<array{y: float, beside: float, label: string}>  $rungs
     * @param  list<array{x: float, y: float, moment: string, label: string}>  $grains
     * @param  list<array{x: int, wide: int, y: float, high: float, moment: string, label: string}>  $bars
     */
    private function __construct(public array $rungs, public array $grains, public array $bars)
    {
    }

    /** @param  array<string, FrameRun>  $runs  before and after, or one of them */
    public static function of(array $runs): ?self
    {
        $all = array_merge(...array_values(array_map(
            static fn (FrameRun $run): array => [$run->low, ...$run->figures],
            $runs,
        )));
        if ($all === []) {
            return null;
        }
        $top = max($all) * 1.05;
        $at = static fn (float $rate): float => round(self::FLOOR - (self::FLOOR - self::TOP) * $rate / $top, 1);
        [$grains, $bars] = [[], []];
        foreach ($runs as $moment => $run) {
            $shown = array_slice($run->figures, 0, self::MOST);
            foreach ($shown as $i => $rate) {
                $grains[] = [
                    'x' => round(self::SHELVES[$moment] + self::SHELF * ($i + 0.5) / count($shown), 1),
                    'y' => $at($rate), 'moment' => $moment, 'label' => sprintf('%s: %.1f', $moment, $rate),
                ];
            }
            $interval = $run->interval();
            if ($interval !== null) {
                $bars[] = [
                    'x' => self::SHELVES[$moment] - 16, 'wide' => 8, 'y' => $at($interval[1]),
                    'high' => max(2.0, $at($interval[0]) - $at($interval[1])), 'moment' => $moment,
                    'label' => sprintf('%s: with 95 %% between %.1f and %.1f', $moment, ...$interval),
                ];
            }
        }

        return new self(self::rungs($top, $at), $grains, $bars);
    }

    /**
     * @param  callable(float): float  $at
     * @return list<array{y: float, beside: float, label: string}>
     */
    private static function rungs(float $top, callable $at): array
    {
        $step = 10 ** floor(log10(max(1.0, $top)));
        $step = $top / $step < 3 ? $step / 4 : ($top / $step < 6 ? $step / 2 : $step);
        $rungs = [];
        for ($rate = 0.0; $rate <= $top; $rate += $step) {
            $rungs[] = [
                'y' => $at($rate), 'beside' => $at($rate) + 4,
                'label' => rtrim(rtrim(number_format($rate, 1, '.', ''), '0'), '.'),
            ];
        }

        return $rungs;
    }
}
