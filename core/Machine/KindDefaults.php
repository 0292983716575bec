<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Machine\Model\KnownWay;
use Cobblestone\Machine\Model\WaysIn;

/**
 * What may be assumed of a machine of which only the kind is known, so that an empty catalogue still helps (rule
 * J13).
 */
final class KindDefaults
{
    /** @return array<string, bool|int|float|string> fact => value, all assumed */
    public static function facts(Kind $kind): array
    {
        return match ($kind) {
            Kind::Desktop, Kind::Laptop, Kind::Handheld => [
                'architecture' => 'x86-64',
                'firmware.kind' => 'uefi',
                'firmware.boot_mode' => 'uefi',
            ],
            Kind::Sealed => ['firmware.kind' => 'sealed'],
            Kind::Any => [],
        };
    }

    /** Keys and combinations worth trying, most common first (rule F1). */
    public static function waysIn(Kind $kind): WaysIn
    {
        $tap = static fn (string ...$keys): array => array_map(KnownWay::tap(...), array_values($keys));

        return match ($kind) {
            Kind::Desktop => new WaysIn($tap('Del', 'F2', 'F10'), $tap('F11', 'F12', 'F8', 'Esc')),
            Kind::Laptop => new WaysIn($tap('F2', 'Del', 'F10', 'Esc'), $tap('F12', 'F10', 'Esc', 'F9')),
            Kind::Handheld => new WaysIn(
                [new KnownWay('hold', 'volume down', 'power', 5)],
                [new KnownWay('hold', 'volume up', 'power', 5)],
            ),
            Kind::Sealed, Kind::Any => new WaysIn(),
        };
    }
}
