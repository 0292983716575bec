<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** What a stick is worth now (rules M11, M12). */
enum StickCondition: string
{
    case Blank = 'blank';
    case Unfinished = 'unfinished';
    case ByHand = 'by-hand';
    case Good = 'good';
    case Stale = 'stale';
    case Spoiled = 'spoiled';
    case Retired = 'retired';

    public function title(): string
    {
        return match ($this) {
            self::Blank => 'nothing of ours on it',
            self::Unfinished => 'unfinished: not proven',
            self::ByHand => 'written by hand: on a technician\'s word',
            self::Good => 'good: every byte was read back',
            self::Stale => 'stale: the shelf has a newer one',
            self::Spoiled => 'spoiled: changed since it was proven',
            self::Retired => 'retired: not to be used again',
        };
    }
}
