<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/** PCI class codes (PCI Code and ID Assignment Specification, base classes) as the families that drivers come in. */
final class PciClass
{
    /** Longest prefix of the four hexadecimal digits wins. */
    private const FAMILIES = [
        '01' => 'storage',
        '02' => 'network',
        '0280' => 'network',
        '03' => 'graphics',
        '04' => 'audio',
        '0400' => 'camera',
        '0601' => 'chipset',
        '0c05' => 'chipset',
        '0c03' => 'chipset',
        '0d' => 'network',
        '0780' => 'chipset',
        '09' => 'input',
        '1180' => 'chipset',
    ];

    /** Memory, bridges, interrupts, timers, processors: part of the board, and nothing is installed for them. */
    private const OF_THE_BOARD = '/^(?:05|06|080[0-46]|0b[0-3])/';

    /** null where it wants no driver of its own; "other" where the class says no more than that it may. */
    public static function family(string $class): ?string
    {
        $family = self::FAMILIES[$class] ?? self::FAMILIES[substr($class, 0, 2)] ?? null;

        return $family ?? (preg_match(self::OF_THE_BOARD, $class) === 1 ? null : 'other');
    }
}
