<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

/** The eight registers of a processor of 16 bits: ax cx dx bx sp bp si di; their halves al cl dl bl ah ch dh bh. */
final class Registers
{
    /** @var array<int, int> */
    private array $held = [0, 0, 0, 0, 0x7C00, 0, 0, 0];

    public function get(int $register): int
    {
        return $this->held[$register];
    }

    public function set(int $register, int $value): null
    {
        $this->held[$register] = $value & 0xFFFF;

        return null;
    }

    public function byte(int $half): int
    {
        return $half < 4 ? $this->held[$half] & 0xFF : $this->held[$half & 3] >> 8;
    }

    public function setByte(int $half, int $value): null
    {
        $whole = $this->held[$half & 3];

        return $this->set($half & 3, $half < 4 ? ($whole & 0xFF00) | $value : ($whole & 0x00FF) | ($value << 8));
    }
}
