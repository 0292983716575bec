<?php

namespace App\Drawing;

/** Numbers that look random and are always the same for the same words, so that a stone never changes its shape. */
final class Scatter
{
    private int $state;

    public function __construct(string $seed)
    {
        $this->state = crc32($seed) | 1;
    }

    /** A number between the two bounds (a linear congruential generator is enough for outlines). */
    public function between(float $low, float $high): float
    {
        $this->state = ($this->state * 1_103_515_245 + 12_345) & 0x7FFF_FFFF;

        return $low + (($high - $low) * $this->state) / 0x7FFF_FFFF;
    }
}
