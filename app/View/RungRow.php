<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Assessment\Route\LadderWords;
use Cobblestone\Assessment\Route\WeighedRung;
use Cobblestone\Quantity\Duration;

/** One rung of a ladder as a row: how it stands, what it keeps, how long it takes, why. */
final class RungRow
{
    private const STANDING = [
        'recommended' => 'this one',
        'out' => 'out',
        'possible' => 'possible',
        'harsher' => 'harsher',
        'works' => 'can work',
        'tried' => 'tried',
    ];

    /** @return array<string, string|bool> id, title, standing, says, keeps, why, triable */
    public static function of(WeighedRung $rung): array
    {
        $minutes = $rung->minutes === null ? '' : ' · about '.Duration::minutes($rung->minutes)->label();

        return [
            'id' => $rung->id,
            'title' => $rung->title,
            'standing' => $rung->standing,
            'says' => self::STANDING[$rung->standing],
            'keeps' => LadderWords::keeps($rung->keeps).$minutes,
            'why' => implode(' ', $rung->why),
            'triable' => in_array($rung->standing, ['recommended', 'possible', 'works'], true),
        ];
    }
}
