<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

/** What a prediction stands on; only what a standard says may block a step, the rest warns (rule B). */
enum Ground: string
{
    case Standard = 'standard';
    case Emulation = 'emulation';
    case Catalogue = 'catalogue';
    case SeenHere = 'seen-here';

    /** @param  int  $times  how often it was seen on this model */
    public function title(int $times = 0): string
    {
        return match ($this) {
            self::Standard => 'standard',
            self::Emulation => 'measured in emulation',
            self::Catalogue => 'as the catalogue describes it',
            self::SeenHere => 'seen on this model '.($times === 1 ? 'once' : "{$times} times"),
        };
    }

    public function blocks(): bool
    {
        return $this === self::Standard;
    }
}
