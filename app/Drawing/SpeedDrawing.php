<?php

namespace App\Drawing;

use Cobblestone\Media\Ways\SpeedHistory;

/** A stick's measured speeds as two rows of pebbles on water: the higher a pebble lies, the faster that run was. */
final class SpeedDrawing
{
    public const WIDTH = 560;

    public const HEIGHT = 150;

    private const BASE = 120;

    private const RISE = 100;

    private const MOST = 24;

    /** @var list<array{x: float, y: float, r: float, wide: float, slab: string, kind: string, label: string}> */
    public array $pebbles = [];

    /** @var list<array{path: string, base: float, label: string}> */
    public array $lines = [];

    public static function of(SpeedHistory $history): ?self
    {
        $runs = [];
        foreach (array_slice($history->runs, -self::MOST) as $run) {
            $write = SpeedHistory::rate($run['bytes'], $run['write_seconds']);
            $read = SpeedHistory::rate($run['bytes'], $run['verify_seconds']);
            if ($write !== null && $read !== null) {
                $runs[] = ['writing' => $write, 'reading back' => $read, 'bytes' => $run['bytes']];
            }
        }
        if ($runs === []) {
            return null;
        }
        $drawing = new self();
        $top = max(array_map(static fn (array $run): float => max($run['writing'], $run['reading back']), $runs));
        self::lines($top, $drawing);
        foreach ($runs as $i => $run) {
            $x = 60 + (self::WIDTH - 100) * (count($runs) === 1 ? 0.5 : $i / (count($runs) - 1));
            foreach (['writing', 'reading back'] as $kind) {
                $y = round(self::BASE - (self::RISE * $run[$kind]) / $top, 1);
                $r = round(4 + min(5, log10(max(1, $run['bytes'] / 1e6))), 1);
                $drawing->pebbles[] = [
                    'x' => round($x, 1),
                    'y' => $y,
                    'r' => $r,
                    'wide' => round($r * 1.3, 1),
                    'slab' => sprintf('M%.1f %.1fh%.1fv4h-%.1fz', $x - $r, $y, 2 * $r, 2 * $r),
                    'kind' => $kind,
                    'label' => sprintf('%s: %.1f MB/s over %.1f MB', $kind, $run[$kind], $run['bytes'] / 1e6),
                ];
            }
        }

        return $drawing;
    }

    private static function lines(float $top, SpeedDrawing $drawing): void
    {
        $step = 10 ** floor(log10(max(1.0, $top)));
        for ($mark = 0.0; $mark <= $top; $mark += $top / $step > 4 ? 2 * $step : $step) {
            $y = round(self::BASE - (self::RISE * $mark) / $top, 1);
            $drawing->lines[] = [
                'path' => "M44 {$y}q30 -3 60 0".str_repeat('t60 0', 7),
                'base' => $y + 4,
                'label' => "{$mark}",
            ];
        }
    }
}
