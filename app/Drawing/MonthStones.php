<?php

declare(strict_types=1);

namespace App\Drawing;

/** A year as stones on a waterline, one a month: the more was lost, the larger it lies. */
final readonly class MonthStones
{
    public const WIDTH = 760;

    public const HEIGHT = 132;

    private const LINE = 92.0;

    private const LARGEST = 54.0;

    private const LEAST = 6.0;

    /** @param  list<array{path: string, x: float, label: string, said: string, top: float}>  $stones */
    private function __construct(public array $stones)
    {
    }

    /**
     * @param  array<string, int>  $minutes  month as 2026-11 => minutes, in order
     */
    public static function of(array $minutes): self
    {
        $most = max(1, ...array_values($minutes), ...[1]);
        $wide = self::WIDTH / max(1, count($minutes));
        $stones = [];
        foreach (array_keys($minutes) as $place => $month) {
            // By area, as the eye compares stones.
            $size = $minutes[$month] === 0
                ? 0.0
                : self::LEAST + (self::LARGEST - self::LEAST) * sqrt($minutes[$month] / $most);
            $x = $wide * ($place + 0.5);
            $top = self::LINE - 0.7 * $size;
            $stones[] = [
                'path' => $size === 0.0 ? '' : StoneShape::pebble($x - $size / 2, $top, $size, 0.8 * $size, $month),
                'x' => round($x, 1),
                'label' => substr($month, 5),
                'said' => $minutes[$month] === 0 ? '' : "{$minutes[$month]} min",
                'top' => round($top - 5, 1),
            ];
        }

        return new self($stones);
    }

    /** The water that they lie in. */
    public function water(): string
    {
        return sprintf('M0 %.1fq%2$d -5 %3$d 0t%3$d 0 %3$d 0 %3$d 0 %3$d 0 %3$d 0 %3$d 0', self::LINE, 54, 108);
    }
}
