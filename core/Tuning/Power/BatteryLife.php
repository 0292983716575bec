<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Power;

use Cobblestone\Machine\Model\PowerLimits;
use InvalidArgumentException;

/** Hours that a battery lasts at a power limit: usable Wh / (base + limit × load) (rule T2). */
final readonly class BatteryLife
{
    /**
     * @param  float  $designWh  as it was new
     * @param  float  $health  part of that which is left, above 0 up to 1
     * @param  float  $chargeLimit  part up to which it is charged
     * @param  float  $reserve  part at which the system goes to sleep
     */
    private function __construct(
        public Draw $draw,
        public float $designWh,
        public float $health,
        public float $chargeLimit,
        public float $reserve,
    ) {
    }

    /** @throws InvalidArgumentException where nothing of it can be used */
    public static function of(
        Draw $draw,
        float $designWh,
        float $health = 1.0,
        float $chargeLimit = 1.0,
        float $reserve = 0.05,
    ): self {
        foreach (['health' => $health, 'charge limit' => $chargeLimit] as $what => $part) {
            if ($part <= 0.0 || $part > 1.0) {
                throw new InvalidArgumentException("The {$what} is a part of the whole: above 0, at most 1.");
            }
        }
        if ($designWh <= 0.0 || $reserve < 0.0 || $reserve >= $chargeLimit) {
            throw new InvalidArgumentException('Watt-hours above 0, and a reserve below the charge limit are wanted.');
        }

        return new self($draw, $designWh, $health, $chargeLimit, $reserve);
    }

    public function usableWh(): float
    {
        return $this->designWh * $this->health * ($this->chargeLimit - $this->reserve);
    }

    public function hours(float $limitW): float
    {
        return $this->usableWh() / $this->draw->at($limitW);
    }

    /**
     * The highest limit at which it still lasts so long; null where even none does.
     *
     * @param  float  $hours  above 0
     */
    public function limitFor(float $hours): ?float
    {
        $limit = ($this->usableWh() / $hours - $this->draw->baseW) / $this->draw->load;

        return $limit > 0.0 ? $limit : null;
    }

    /**
     * The whole watts to be set for every day so that it lasts so long; null where no limit of the model gives that.
     *
     * @param  float  $hours  above 0
     */
    public function everyday(float $hours, ?PowerLimits $can): ?int
    {
        $limit = $this->limitFor($hours);
        $watts = $limit === null ? 0.0 : floor(min($limit, $can->mostW ?? $limit));

        return $watts >= 1.0 && $watts >= ($can->leastW ?? 1) ? (int) $watts : null;
    }
}
