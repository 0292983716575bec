<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

use InvalidArgumentException;
use JsonSerializable;

/** How long something takes: at best, most likely, and the mark after which to worry. */
final readonly class Estimate implements JsonSerializable
{
    /** What is usual on a bench, where nothing of this job says more. */
    public const USUAL = 'usual';

    public const COMPUTED = 'computed';

    public const CATALOGUE = 'catalogue';

    /** @param  string  $basis  what it rests on: one of these, or "learned from n" */
    private function __construct(
        public Duration $low,
        public Duration $likely,
        public Duration $high,
        public string $basis = self::USUAL,
    ) {
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

        return self::minutes($low, $likely, $high)->restingOn(self::CATALOGUE);
    }

    /** A computed figure with the bench's default spread: a fifth less, half as much again. */
    public static function around(Duration $likely): self
    {
        $least = Duration::seconds((int) floor($likely->seconds * 0.8));

        return new self($least, $likely, $likely->times(1.5), self::COMPUTED);
    }

    public function plus(self $other): self
    {
        return new self(
            $this->low->plus($other->low),
            $this->likely->plus($other->likely),
            $this->high->plus($other->high),
            $this->basis === $other->basis ? $this->basis : self::COMPUTED,
        );
    }

    public function restingOn(string $basis): self
    {
        return new self($this->low, $this->likely, $this->high, $basis);
    }

    /** @return array{low: float, likely: float, high: float, basis: string} minutes, one decimal */
    public function jsonSerialize(): array
    {
        return [
            'low' => $this->low->inMinutes(),
            'likely' => $this->likely->inMinutes(),
            'high' => $this->high->inMinutes(),
            'basis' => $this->basis,
        ];
    }
}
