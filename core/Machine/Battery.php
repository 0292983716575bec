<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Power;

/** What a portable's cell holds and what the machine draws while it works from a stick (rule F8). */
final readonly class Battery
{
    public function __construct(
        public Energy $design,
        public ?Power $draw,
        public float $health = 1.0,
        public float $usable = 0.9,
    ) {
    }

    /** @param  array<string, mixed>  $entry */
    public static function fromArray(array $entry): self
    {
        return new self(
            Energy::wattHours($entry['design_wh']),
            isset($entry['draw_w']) ? Power::watts($entry['draw_w']) : null,
            $entry['health'] ?? 1.0,
            $entry['usable'] ?? 0.9,
        );
    }

    /** What a full charge holds today. */
    public function present(): Energy
    {
        return $this->design->times($this->health);
    }
}
