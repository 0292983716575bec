<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Frames;

/** Mean of several figures, and between what it lies with 95 % (Student's t). */
final readonly class Spread
{
    private function __construct(public int $count, public float $mean, private float $variance)
    {
    }

    /** @param  non-empty-list<float>  $figures */
    public static function of(array $figures): self
    {
        $count = count($figures);
        $mean = array_sum($figures) / $count;
        $squares = array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $figures));

        return new self($count, $mean, $count > 1 ? $squares / ($count - 1) : 0.0);
    }

    /** Half of the interval; null where one figure says nothing of its spread. */
    public function half(): ?float
    {
        return $this->count < 2 ? null : self::quantile($this->count - 1) * sqrt($this->variance / $this->count);
    }

    /**
     * Half of the interval of the difference to another mean (Welch); null where one of them has no spread.
     */
    public function halfOfDifference(self $other): ?float
    {
        if ($this->count < 2 || $other->count < 2) {
            return null;
        }
        [$a, $b] = [$this->variance / $this->count, $other->variance / $other->count];
        if ($a + $b === 0.0) {
            return 0.0;
        }
        $freedom = ($a + $b) ** 2 / ($a ** 2 / ($this->count - 1) + $b ** 2 / ($other->count - 1));

        return self::quantile((int) max(1, floor($freedom))) * sqrt($a + $b);
    }

    /**
     * Quantile of Student's t at 97.5 %: from the table up to 30 degrees of freedom, beyond it by the first
     * three terms of the expansion about the normal distribution.
     */
    private static function quantile(int $freedom): float
    {
        $table = [
            1 => 12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228,
            2.201, 2.179, 2.160, 2.145, 2.131, 2.120, 2.110, 2.101, 2.093, 2.086,
            2.080, 2.074, 2.069, 2.064, 2.060, 2.056, 2.052, 2.048, 2.045, 2.042,
        ];
        $normal = 1.960;

        return $table[$freedom] ?? $normal + ($normal ** 3 + $normal) / (4 * $freedom)
            + (5 * $normal ** 5 + 16 * $normal ** 3 + 3 * $normal) / (96 * $freedom ** 2);
    }
}
