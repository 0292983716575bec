<?php

namespace App\Drawing;

use Cobblestone\Firmware\Press;
use Cobblestone\Firmware\PressSequence;
use Illuminate\Support\Str;

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

    /** @var list<array{name: string, y: float, rail: string}> y: base line of the name */
    public array $lanes = [];

    /** @var list<array{shape: string, tapped: bool}> */
    public array $stones = [];

    /** @var list<array{x: float, second: int, tick: string}> */
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
            $middle = $rails[$name] + self::LANE / 2;
            $drawing->lanes[] = [
                'name' => Str::limit($name, 17),
                'y' => $middle + 5,
                'rail' => sprintf('M%d %.1fH%d', self::LEFT, $middle, self::WIDTH - 14),
            ];
        }
        foreach ($sequence->presses as $index => $press) {
            $drawing->press($press, $rails[$press->what], $index);
        }
        $floor = $drawing->floor();
        $step = max(1, (int) ceil($sequence->seconds / 7));
        for ($second = 0; $second <= $sequence->seconds; $second += $step) {
            $x = $drawing->x($second);
            $drawing->seconds[] = ['x' => $x, 'second' => $second, 'tick' => "M{$x} 6V{$floor}"];
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

    public function left(): int
    {
        return self::LEFT;
    }

    /** Where the names of the rails end. */
    public function names(): int
    {
        return self::LEFT - 12;
    }

    /** Base line of the seconds. */
    public function below(): int
    {
        return $this->floor() + 20;
    }

    /** The line that runs along while somebody counts. */
    public function beat(): string
    {
        return 'M0 4V'.($this->floor() + 4);
    }

    public function right(): float
    {
        return $this->x($this->sequence->seconds);
    }

    /** What the picture shows, for who cannot see it. */
    public function words(): string
    {
        return 'Timeline: '.implode(' ', array_column($this->sequence->marks, 'words'));
    }

    /** What the script counts along with. */
    public function data(): string
    {
        return json_encode(
            ['seconds' => $this->sequence->seconds, 'marks' => $this->sequence->marks],
            JSON_THROW_ON_ERROR | JSON_HEX_APOS,
        );
    }

    /** @return list<array{at: string, words: string}> what to do when; at in seconds */
    public function marks(): array
    {
        return array_map(static fn (array $mark): array => [
            'at' => rtrim(rtrim(number_format($mark['at'], 1, '.', ''), '0'), '.'),
            'words' => $mark['words'],
        ], $this->sequence->marks);
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
