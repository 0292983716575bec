<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Power;

use InvalidArgumentException;

/** What a machine took out of its battery at one power limit: so many watt-hours in so many minutes (rule T2). */
final readonly class Drain
{
    /** Below that a battery's own figure says nothing (default). */
    public const LEAST_MINUTES = 5.0;

    private function __construct(public float $limitW, public float $wattHours, public float $minutes)
    {
    }

    /** @throws InvalidArgumentException where it says nothing */
    public static function of(float $limitW, float $wattHours, float $minutes): self
    {
        if ($limitW <= 0.0 || $wattHours <= 0.0 || $minutes < self::LEAST_MINUTES) {
            throw new InvalidArgumentException(
                'A drain is watts of a limit, watt-hours, and at least '.self::LEAST_MINUTES.' minutes.',
            );
        }

        return new self($limitW, $wattHours, $minutes);
    }

    public function watts(): float
    {
        return $this->wattHours / $this->minutes * 60;
    }
}
