<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What a step asks of the person at the bench (rule J3). */
enum Presence: string
{
    case Hands = 'hands';
    case StayNear = 'stay-near';
    case WalkAway = 'walk-away';

    public function title(): string
    {
        return match ($this) {
            self::Hands => 'hands',
            self::StayNear => 'stay near',
            self::WalkAway => 'walk away',
        };
    }
}
