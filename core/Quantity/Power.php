<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

/** Electric power in milliwatts; may be negative where a balance is drawn up (rule F8). */
final readonly class Power
{
    private function __construct(public int $milliwatts)
    {
    }

    public static function watts(float $watts): self
    {
        return new self((int) round($watts * 1000));
    }

    public function minus(self $other): self
    {
        return new self($this->milliwatts - $other->milliwatts);
    }

    /** Energy drawn over a time, rounded up to whole milliwatt-hours. */
    public function over(Duration $time): Energy
    {
        return Energy::milliwattHours((int) ceil(($this->milliwatts * $time->seconds) / 3600));
    }

    public function label(): string
    {
        return number_format($this->milliwatts / 1000, 1, '.', '').' W';
    }
}
