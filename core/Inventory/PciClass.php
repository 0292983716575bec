<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/** PCI class codes (PCI Code and ID Assignment Specification, base classes) as the families that drivers come in. */
final class PciClass
{
    /** Longest prefix of the four hexadecimal digits wins; what is absent wants no driver of its own. */
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
        '1180' => 'chipset',
    ];

    public static function family(string $class): ?string
    {
        return self::FAMILIES[$class] ?? (self::FAMILIES[substr($class, 0, 2)] ?? null);
    }
}
