<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

/** A memory rate as a tool shows it: transfers, or the clock, of which two make one (rule F4). */
final readonly class RateSeen
{
    /**
     * @param  int  $figure  as written
     * @param  bool  $isMegahertz  whether it names the unit of a clock; many tools write the rate with it all the same
     * @param  bool  $isTransfers  whether it names the unit of a rate
     */
    private function __construct(public int $figure, public bool $isMegahertz, public bool $isTransfers)
    {
    }

    /** Null where it is no whole number with or without "MT/s" or "MHz". */
    public static function parse(string $text): ?self
    {
        $plain = strtolower(str_replace(["\u{a0}", ' ', '_'], '', trim($text)));
        if (preg_match('/^(\d{2,6})(mt\/s|mts|mhz)?$/', $plain, $m) !== 1) {
            return null;
        }
        $unit = $m[2] ?? '';

        return new self((int) $m[1], $unit === 'mhz', $unit !== '' && $unit !== 'mhz');
    }

    /** Whether it is that rate, give or take a share of it. */
    public function isNear(int $rate, float $share): bool
    {
        return abs($this->figure - $rate) <= $rate * $share;
    }

    /** Whether it is the clock of that rate: half of it, which a unit of transfers rules out. */
    public function isHalf(int $rate, float $share): bool
    {
        return ! $this->isTransfers && abs(2 * $this->figure - $rate) <= $rate * $share;
    }
}
