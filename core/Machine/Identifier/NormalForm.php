<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Identifier;

/** Reads what HardwareIdentifier::text() writes, and the same with less in it: "pci:51a2:0202". */
final class NormalForm
{
    private const NARROWED = '(?:\/(?<subsystem>[0-9a-f]{4}:?[0-9a-f]{4}))?(?:#(?<revision>[0-9a-f]{2,4}))?'
        .'(?:\+(?<interface>[0-9a-f]{2}))?(?:@(?<class>(?:[0-9a-f]{2}){1,3}))?$/';

    /** @return list<HardwareIdentifier> */
    public static function read(string $word): array
    {
        if (str_starts_with($word, 'other:') && strlen($word) > 6) {
            return [new HardwareIdentifier(Bus::Other, other: substr($word, 6))];
        }
        $named = match (true) {
            str_starts_with($word, 'acpi:') => '/^acpi:(?<vendor>[a-z]{3}|[a-z0-9]{4})(?<device>[0-9a-f]{4})',
            str_starts_with($word, 'hdaudio:') => '/^hdaudio:(?<vendor>[0-9a-f]{4}|\*):?(?<device>[0-9a-f]{4})?',
            default => '/^(?:pci|usb):(?<vendor>[0-9a-f]{4}|\*):(?<device>[0-9a-f]{4}|\*)',
        };
        if (preg_match($named.self::NARROWED, $word, $part, PREG_UNMATCHED_AS_NULL) !== 1) {
            return [];
        }
        $vendor = $part['vendor'] === '*' ? null : $part['vendor'];
        $device = $part['device'] === '*' ? null : $part['device'];
        $class = $part['class'];
        if (($vendor === null && ($device !== null || $class === null))) {
            return [];
        }
        $subsystem = $part['subsystem'] === null ? null : str_replace(':', '', $part['subsystem']);

        return [
            new HardwareIdentifier(
                Bus::from((string) strstr($word, ':', true)),
                $vendor,
                $device,
                $subsystem === null ? null : substr($subsystem, 0, 4).':'.substr($subsystem, 4),
                $part['revision'],
                $class,
                $part['interface'],
            ),
        ];
    }
}
