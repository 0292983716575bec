<?php

namespace App\Drawing;

use Cobblestone\Firmware\Press;
use Cobblestone\Firmware\PressSequence;

/**
 * A way in as a timeline: one rail a key, raised stone where it is held, small ones where it is tapped, seconds
 * below.
 */
final class PressDrawing
{
    public const WIDTH = 640;

    private const LEFT = 148;

    private const RIGHT = 18;

    private const LANE = 44;

    private const TOP = 12;

    /** @var list<array{name: string, y: float}> */
    public array $lanes = [];

    /** @var list<array{shape: string, tapped: bool}> */
    public array $stones = [];

    /** @var list<array{x: float, second: int}> */
    public array $seconds = [];

    private function __construct(public readonly PressSequence $sequence)
    {
    }

    public static function of(PressSequence $sequence): self
    {
        $drawing = new self($sequence);
        $rails = [];
        foreach ($sequence->lanes() as $index => $name) {
            $rails[$name] = self::TOP + $index * self::LANE;
            $drawing->lanes[] = ['name' => $name, 'y' => $rails[$name] + self::LANE / 2];
        }
        foreach ($sequence->presses as $index => $press) {
            $drawing->press($press, $rails[$press->what], $index);
        }
        $step = max(1, (int) ceil($sequence->seconds / 7));
        for ($second = 0; $second <= $sequence->seconds; $second += $step) {
            $drawing->seconds[] = ['x' => $drawing->x($second), 'second' => $second];
        }

        return $drawing;
    }

    public function height(): int
    {
        return self::TOP + count($this->lanes) * self::LANE + 28;
    }

    public function floor(): int
    {
        return self::TOP + count($this->lanes) * self::LANE;
    }

    public static function left(): int
    {
        return self::LEFT;
    }

    public function x(float $seconds): float
    {
        return round(
            self::LEFT + ((self::WIDTH - self::LEFT - self::RIGHT) * $seconds) / $this->sequence->seconds,
            1,
        );
    }

    private function press(Press $press, float $rail, int $index): void
    {
        if (! $press->tapped) {
            [$from, $to] = [$this->x($press->from), $this->x($press->to)];
            $short = $to - $from < 30;
            $this->stones[] = [
                'shape' => $short
                    ? StoneShape::pebble(
                        $from - 2,
                        $rail + 8,
                        max(20, $to - $from),
                        self::LANE - 16,
                        "{$press->what}-{$index}",
                    )
                    : StoneShape::slab($from, $rail + 9, $to - $from, self::LANE - 18, "{$press->what}-{$index}"),
                'tapped' => false,
            ];

            return;
        }
        for ($at = $press->from; $at < $press->to; $at += PressSequence::TAP_EVERY) {
            $this->stones[] = [
                'shape' => StoneShape::pebble($this->x($at), $rail + 14, 13, self::LANE - 28, "{$press->what}-{$at}"),
                'tapped' => true,
            ];
        }
    }
}
