<?php

namespace App\Drawing;

use App\Database\Kept;

/** Outlines of stones as SVG path data. */
final class StoneShape
{
    private const CORNERS = 9;

    /** A rounded stone: points on a superellipse, shifted a little, joined by smooth curves. */
    public static function pebble(float $x, float $y, float $w, float $h, string $seed): string
    {
        return Kept::of(
            "pebble {$x} {$y} {$w} {$h} {$seed}",
            static fn (): string => self::smooth(self::outline($x, $y, $w, $h, $seed)),
        );
    }

    /** @return list<array{0: float, 1: float}> */
    private static function outline(float $x, float $y, float $w, float $h, string $seed): array
    {
        $scatter = new Scatter($seed);
        $points = [];
        for ($i = 0; $i < self::CORNERS; $i++) {
            $angle = (2 * M_PI * $i) / self::CORNERS + $scatter->between(-0.12, 0.12);
            $size = 1 - $scatter->between(0, 0.09);
            [$cos, $sin] = [cos($angle), sin($angle)];
            $points[] = [
                $x + $w / 2 + ($w / 2) * $size * ($cos <=> 0) * abs($cos) ** 0.72,
                $y + $h / 2 + ($h / 2) * $size * ($sin <=> 0) * abs($sin) ** 0.72,
            ];
        }

        return $points;
    }

    /** A flat slab with broken edges. */
    public static function slab(float $x, float $y, float $w, float $h, string $seed): string
    {
        $scatter = new Scatter($seed);
        $j = static fn (): float => $scatter->between(-2, 2);

        return sprintf(
            'M%.1f %.1fL%.1f %.1fL%.1f %.1fQ%.1f %.1f %.1f %.1fQ%.1f %.1f %.1f %.1fL%.1f %.1fL%.1f %.1fQ%.1f %.1f '
                .'%.1f %.1fQ%.1f %.1f %.1f %.1fZ',
            $x + 9,
            $y + $j(),
            $x + $w * 0.4,
            $y + $j(),
            $x + $w - 8,
            $y + $j(),
            $x + $w,
            $y + 2,
            $x + $w + $j() / 2,
            $y + $h * 0.5,
            $x + $w,
            $y + $h,
            $x + $w - 9,
            $y + $h + $j(),
            $x + $w * 0.55,
            $y + $h + $j(),
            $x + 9,
            $y + $h + $j(),
            $x,
            $y + $h,
            $x + $j() / 2,
            $y + $h * 0.5,
            $x,
            $y,
            $x + 9,
            $y,
        );
    }

    /** A block whose lower edge is teeth: it cannot be undone. */
    public static function toothed(float $x, float $y, float $w, float $h): string
    {
        $teeth = max(4, (int) round($w / 11));
        $step = $w / $teeth;
        $path = sprintf(
            'M%.1f %.1fL%.1f %.1fQ%.1f %.1f %.1f %.1fL%.1f %.1f',
            $x + 6,
            $y,
            $x + $w - 6,
            $y,
            $x + $w,
            $y,
            $x + $w,
            $y + 7,
            $x + $w,
            $y + $h - 7,
        );
        for ($i = 0; $i < $teeth; $i++) {
            $path .= sprintf(
                'L%.1f %.1fL%.1f %.1f',
                $x + $w - $step * ($i + 0.5),
                $y + $h + 2,
                $x + $w - $step * ($i + 1),
                $y + $h - 7,
            );
        }

        return $path.sprintf('L%.1f %.1fQ%.1f %.1f %.1f %.1fZ', $x, $y + 7, $x, $y, $x + 6, $y);
    }

    /** @param  list<array{0: float, 1: float}>  $points */
    private static function smooth(array $points): string
    {
        $n = count($points);
        $path = '';
        for ($i = 0; $i < $n; $i++) {
            [$p0, $p1, $p2, $p3] = [
                $points[($i + $n - 1) % $n],
                $points[$i],
                $points[($i + 1) % $n],
                $points[($i + 2) % $n],
            ];
            // A tenth of a unit is finer than any screen; concatenating is several times faster here than sprintf.
            $path .=
                ($i === 0 ? 'M'.round($p1[0], 1).' '.round($p1[1], 1) : '').
                'C'.
                round($p1[0] + ($p2[0] - $p0[0]) / 6, 1).
                ' '.
                round($p1[1] + ($p2[1] - $p0[1]) / 6, 1).
                ' '.
                round($p2[0] - ($p3[0] - $p1[0]) / 6, 1).
                ' '.
                round($p2[1] - ($p3[1] - $p1[1]) / 6, 1).
                ' '.
                round($p2[0], 1).
                ' '.
                round($p2[1], 1);
        }

        return $path.'Z';
    }
}
