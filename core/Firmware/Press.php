<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

/** One key, button or lead, from when to when it is held; seconds from the first move. */
final readonly class Press
{
    /** @param  bool  $tapped  pressed again and again in that time instead of held */
    public function __construct(
        public string $what,
        public float $from,
        public float $to,
        public bool $tapped = false,
    ) {
    }
}
