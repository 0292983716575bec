<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

/** Electric energy in milliwatt-hours (rule F8). */
final readonly class Energy
{
    private function __construct(public int $milliwattHours)
    {
    }

    public static function milliwattHours(int $milliwattHours): self
    {
        return new self($milliwattHours);
    }

    public static function wattHours(float $wattHours): self
    {
        return new self((int) round($wattHours * 1000));
    }

    public function plus(self $other): self
    {
        return new self($this->milliwattHours + $other->milliwattHours);
    }

    /** A share or multiple, rounded to whole milliwatt-hours. */
    public function times(float $factor): self
    {
        return new self((int) round($this->milliwattHours * $factor));
    }

    public function label(): string
    {
        return number_format($this->milliwattHours / 1000, 1, '.', '').' Wh';
    }
}
