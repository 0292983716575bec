<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

use Cobblestone\Runbook\Decision;

/** A decision about one device, in words: its package, what decided, and every other that claims it (rule D3). */
final class MatchWords
{
    /** @param  callable(PackageOffer): string  $named  what a package is called */
    public static function decision(DeviceMatch $match, string $system, callable $named): Decision
    {
        $refused = [];
        foreach ($match->refused as $refusal) {
            $refused[$named($refusal->offer())][] = RefusalWords::of($refusal);
        }

        return new Decision(
            'drivers.for.'.$match->device->identifier,
            "Driver of {$match->device->name}",
            match (true) {
                $match->package !== null => $named($match->package),
                $match->brings => "what {$system} brings",
                default => 'none yet',
            },
            [self::because($match, $system)],
            $refused,
            ["{$match->device->name} {$match->device->identifier}"],
            'D3',
        );
    }

    private static function because(DeviceMatch $match, string $system): string
    {
        return match (true) {
            $match->package !== null => "It claims {$match->identifier}.",
            $match->brings => "{$system} has a driver for this device, and no package on the shelf may be used for it.",
            default => "No package on the shelf may be used for it, and {$system} is not known to bring a driver.",
        };
    }
}
