<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

/** A whole number of seconds, never negative. */
final readonly class Duration
{
    private function __construct(public int $seconds)
    {
    }

    /** @throws InvalidQuantity for negative seconds */
    public static function seconds(int $seconds): self
    {
        return $seconds < 0 ? throw InvalidQuantity::negative('A duration', $seconds) : new self($seconds);
    }

    public static function minutes(float $minutes): self
    {
        return self::seconds((int) round($minutes * 60));
    }

    public function plus(self $other): self
    {
        return new self($this->seconds + $other->seconds);
    }

    /** The duration times a factor, rounded up to whole seconds. */
    public function times(float $factor): self
    {
        return self::seconds((int) ceil(round($this->seconds * $factor, 6)));
    }

    /** Minutes to the thousandth, so that whole seconds come back unchanged. */
    public function inMinutes(): float
    {
        return round($this->seconds / 60, 3);
    }

    /** "40 s", "14 min", "1 h 11": what a person at the bench reads. */
    public function label(): string
    {
        if ($this->seconds < 60) {
            return "{$this->seconds} s";
        }
        $minutes = (int) round($this->seconds / 60);

        return $minutes < 60 ? "{$minutes} min" : sprintf('%d h %02d', intdiv($minutes, 60), $minutes % 60);
    }
}
