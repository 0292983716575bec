<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Model\Screen;

/**
 * How large a system draws on a screen, so that letters are as large as elsewhere and dialogues still fit (rule I6).
 * Steps are quarters, as systems offer them.
 */
final readonly class DisplayScale
{
    /** Pixels an inch that want no scale at the distance a kind is looked at from (default). */
    private const PLAIN = ['handheld' => 150.0, 'laptop' => 110.0];

    private const ELSE = 96.0;

    private const STEP = 25;

    private const LEAST = 100;

    private const MOST = 300;

    /** A dialogue is seldom higher, in pixels as the system counts them (default). */
    private const ROOM = 600;

    /**
     * @param  int  $percent  a multiple of STEP
     * @param  bool  $held  whether it would be larger, were there room
     */
    private function __construct(public int $percent, public Screen $screen, public bool $held)
    {
    }

    public static function of(Screen $screen, Kind $kind): self
    {
        $wanted = 100 * $screen->density() / (self::PLAIN[$kind->value] ?? self::ELSE);
        $step = max(self::LEAST, min(self::MOST, (int) round($wanted / self::STEP) * self::STEP));
        $side = min($screen->width, $screen->height);
        $fits = $step;
        while ($fits > self::LEAST && 100 * $side / $fits < self::ROOM) {
            $fits -= self::STEP;
        }

        return new self($fits, $screen, $fits < $step);
    }

    public function words(): string
    {
        return sprintf(
            '%d pixels an inch: at %d %% the screen holds as much as %d × %d%s.',
            round($this->screen->density()),
            $this->percent,
            intdiv(100 * $this->screen->width, $this->percent),
            intdiv(100 * $this->screen->height, $this->percent),
            $this->held ? '; larger, a dialogue would not fit' : '',
        );
    }
}
