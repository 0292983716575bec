<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

use InvalidArgumentException;
use JsonSerializable;

/** How long something takes: at best, most likely, and the mark after which to worry. */
final readonly class Estimate implements JsonSerializable
{
    private function __construct(public Duration $low, public Duration $likely, public Duration $high)
    {
    }

    /** @throws InvalidArgumentException unless low ≤ likely ≤ high */
    public static function of(Duration $low, Duration $likely, Duration $high): self
    {
        if ($low->seconds > $likely->seconds || $likely->seconds > $high->seconds) {
            throw new InvalidArgumentException(
                "An estimate needs low ≤ likely ≤ high, got {$low->seconds}, {$likely->seconds}, {$high->seconds} s.",
            );
        }

        return new self($low, $likely, $high);
    }

    public static function minutes(float $low, float $likely, float $high): self
    {
        return self::of(Duration::minutes($low), Duration::minutes($likely), Duration::minutes($high));
    }

    /**
     * @param  list<int|float>  $minutes  at best, likely, at most
     *
     * @throws InvalidArgumentException unless they are three and rise
     */
    public static function fromMinutes(array $minutes): self
    {
        [$low, $likely, $high] =
            count($minutes) === 3
                ? $minutes
                : throw new InvalidArgumentException('An estimate is three numbers: at best, likely, at most.');

        return self::minutes($low, $likely, $high);
    }

    /** A computed figure with the bench's default spread: a fifth less, half as much again. */
    public static function around(Duration $likely): self
    {
        return new self(Duration::seconds((int) floor($likely->seconds * 0.8)), $likely, $likely->times(1.5));
    }

    public function plus(self $other): self
    {
        return new self(
            $this->low->plus($other->low),
            $this->likely->plus($other->likely),
            $this->high->plus($other->high),
        );
    }

    /** @return array{low: float, likely: float, high: float} minutes, one decimal */
    public function jsonSerialize(): array
    {
        return [
            'low' => $this->low->inMinutes(),
            'likely' => $this->likely->inMinutes(),
            'high' => $this->high->inMinutes(),
        ];
    }
}
