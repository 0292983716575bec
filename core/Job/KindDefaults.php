<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Machine\Kind;

/** What may be assumed of a machine of which only the kind is known, so that an empty catalogue still helps (rule J13). */
final class KindDefaults
{
    /** @return array<string, bool|int|float|string> fact => value, all assumed */
    public static function facts(Kind $kind): array
    {
        return match ($kind) {
            Kind::Desktop, Kind::Laptop, Kind::Handheld => ['architecture' => 'x86-64', 'firmware.kind' => 'uefi', 'firmware.boot_mode' => 'uefi'],
            Kind::Sealed => ['firmware.kind' => 'sealed'],
            Kind::Any => [],
        };
    }

    /**
     * Keys and combinations worth trying, most common first (rule F1).
     *
     * @return array{setup: list<array<string, mixed>>, menu: list<array<string, mixed>>}
     */
    public static function waysIn(Kind $kind): array
    {
        $tap = static fn (string ...$keys): array => array_map(static fn (string $key): array => ['how' => 'tap', 'key' => $key], $keys);

        return match ($kind) {
            Kind::Desktop => ['setup' => $tap('Del', 'F2', 'F10'), 'menu' => $tap('F11', 'F12', 'F8', 'Esc')],
            Kind::Laptop => ['setup' => $tap('F2', 'Del', 'F10', 'Esc'), 'menu' => $tap('F12', 'F10', 'Esc', 'F9')],
            Kind::Handheld => [
                'setup' => [['how' => 'hold', 'key' => 'volume down', 'press' => 'power', 'seconds' => 5]],
                'menu' => [['how' => 'hold', 'key' => 'volume up', 'press' => 'power', 'seconds' => 5]],
            ],
            Kind::Sealed, Kind::Any => ['setup' => [], 'menu' => []],
        };
    }
}
