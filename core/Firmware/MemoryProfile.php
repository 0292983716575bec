<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

/**
 * What has to be entered so that memory runs at its rate (rule F4): memory clock = reference clock × multiplier, rate
 * = 2 × clock;
 * some firmware's multiplier already counts transfers.
 */
final readonly class MemoryProfile
{
    /** Reference clocks in thirds of a megahertz, so that 133⅓ is exact. */
    private const REFERENCES = [100 => 300, 133 => 400];

    /**
     * @param  int  $rate  million transfers a second
     * @param  string  $reference  in words, MHz
     * @param  float  $clock  memory clock in MHz
     */
    private function __construct(
        public int $rate,
        public string $reference,
        public int $multiplier,
        public float $clock,
        public bool $countsTransfers,
    ) {
    }

    /**
     * Every exact way to a rate.
     *
     * @param  int  $rate  million transfers a second, as printed on the module
     * @param  bool  $countsTransfers  whether this firmware's multiplier counts transfers (catalogue)
     * @return list<self> by reference clock; a rate that is rounded on the label (2133, 2666) counts as what it
     *     stands for
     */
    public static function ways(int $rate, bool $countsTransfers): array
    {
        $ways = [];
        foreach (self::REFERENCES as $name => $thirds) {
            $step = $countsTransfers ? $thirds : 2 * $thirds;
            $multiplier = (int) round(($rate * 3) / $step);
            // A label cuts the thirds off or rounds them: at most one million transfers away.
            if ($multiplier > 0 && abs($multiplier * $step - $rate * 3) <= 3) {
                $clock = ($multiplier * $step) / 6;
                $ways[] = new self(
                    $rate,
                    $name === 133 ? '133⅓ MHz' : '100 MHz',
                    $multiplier,
                    round($clock, 2),
                    $countsTransfers,
                );
            }
        }

        return $ways;
    }

    /**
     * Rate in million transfers a second.
     *
     * @param  int  $reference  100 or 133, for 133⅓ MHz
     */
    public static function rate(int $reference, int $multiplier, bool $countsTransfers): float
    {
        $thirds = self::REFERENCES[$reference] ?? 3 * $reference;

        return round(($multiplier * $thirds * ($countsTransfers ? 1 : 2)) / 3, 1);
    }

    public function sentence(): string
    {
        $half = rtrim(rtrim(number_format($this->clock, 2, '.', ''), '0'), '.');

        return "Reference {$this->reference} × {$this->multiplier}".
            ($this->countsTransfers ? ', the multiplier counts transfers' : '').
            " = {$this->rate} million transfers a second; a tool may "
                ."show {$half} MHz, which is the clock and half of it.";
    }
}
