<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Emulated;

/** How a start in an emulated machine ended, as far as it can be told. The first five are a prediction's words too. */
enum StartSeen: string
{
    case Starts = 'starts';
    case RefusedBySecureBoot = 'refused-secure-boot';
    case NoBootDevice = 'no-boot-device';
    case Silent = 'silent';
    case LoaderStopped = 'loader-stopped';
    case CannotTell = 'cannot-tell';

    public function title(): string
    {
        return match ($this) {
            self::Starts => 'It starts: what lies on the medium runs.',
            self::RefusedBySecureBoot => 'Secure Boot refuses it.',
            self::NoBootDevice => 'The firmware finds nothing on it to start.',
            self::Silent => 'It was entered, and nothing came of it.',
            self::LoaderStopped => 'Its loader gave up.',
            self::CannotTell => 'It cannot be told from what was seen.',
        };
    }
}
