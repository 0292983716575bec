<?php

declare(strict_types=1);

namespace App\Devices\Emulated;

use Cobblestone\Boot\Emulated\StartSeen;

/** What came of a start in an emulated machine. */
final readonly class EmulatedStart
{
    /**
     * @param  float  $seconds  until it was told, or given up
     * @param  string  $text  what the machine printed, the last of it
     * @param  string|null  $picture  file of the last picture, as PNG; null where there was none
     * @param  int  $resets  how often the machine restarted by itself
     */
    public function __construct(
        public StartSeen $outcome,
        public float $seconds,
        public string $text,
        public ?string $picture,
        public int $resets,
    ) {
    }
}
