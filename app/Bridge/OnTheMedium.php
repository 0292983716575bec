<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\StickState;
use Illuminate\Support\Carbon;

/** Since when a medium holds what it holds now: what was started before that was something else. */
final class OnTheMedium
{
    /** @return Carbon|null null where it is not there */
    public static function since(?string $path): ?Carbon
    {
        clearstatcache();

        return $path !== null && is_file($path) ? Carbon::createFromTimestamp((int) filemtime($path)) : null;
    }

    /** The same of a stick of the register, whose builds are on record too. */
    public static function sinceOnStick(string $slug, ?string $path): ?Carbon
    {
        $written = self::since($path);
        $at = StickState::of($slug)->content['built_at'] ?? null;
        $built = is_string($at) ? Carbon::parse($at) : null;

        return $written !== null && $built !== null ? $written->max($built) : $written ?? $built;
    }
}
