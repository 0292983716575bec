<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Identifier;

/**
 * Reads the form with a backslash and keys, as setup-information files and device lists hold it:
 * "PCI\VEN_51A2&DEV_0202&SUBSYS_00134E52&REV_01". Behind a second backslash stands which one of several alike it is;
 * that is left out.
 */
final class KeyedForm
{
    /** @return list<HardwareIdentifier> */
    public static function read(string $word): array
    {
        [$bus, $rest] = explode('\\', $word, 3) + ['', ''];
        if ($bus === '' || $rest === '') {
            return [];
        }
        $keys = [];
        foreach (explode('&', $rest) as $pair) {
            [$key, $value] = explode('_', $pair, 2) + ['', ''];
            $keys[$key] ??= $value;
        }

        return match ($bus) {
            'pci' => self::pci($keys),
            'usb' => self::usb($keys),
            'hdaudio' => self::audio($keys),
            'acpi' => isset($keys['ven'], $keys['dev'])
                ? self::platform($keys['ven'].$keys['dev'], $keys['rev'] ?? null)
                : self::platform(ltrim($rest, '*')),
            default => [new HardwareIdentifier(Bus::Other, other: "{$bus}\\{$rest}")],
        };
    }

    /** @return list<HardwareIdentifier> "FNCK0704", "PNP0C50": three or four letters and four hexadecimal digits */
    public static function platform(string $name, ?string $revision = null): array
    {
        $narrowed = $revision !== null && preg_match('/^[0-9a-f]{2,4}$/', $revision) === 1 ? $revision : null;

        return preg_match('/^([a-z]{3}|[a-z0-9]{4})([0-9a-f]{4})$/', $name, $part) === 1
            ? [new HardwareIdentifier(Bus::Platform, $part[1], $part[2], revision: $narrowed)]
            : [];
    }

    /**
     * @param  array<array-key, string>  $keys
     * @return list<HardwareIdentifier>
     */
    private static function pci(array $keys): array
    {
        $part = self::parts($keys, ['ven' => [4], 'dev' => [4], 'subsys' => [8], 'rev' => [2], 'cc' => [4, 6]]);

        return $part === null || self::saysNothing($part['ven'], $part['dev'], $part['cc'])
            ? []
            : [
                new HardwareIdentifier(
                    Bus::Pci,
                    $part['ven'],
                    $part['dev'],
                    // Written here is what the fitter calls it, then who the fitter is.
                    $part['subsys'] === null ? null : substr($part['subsys'], 4).':'.substr($part['subsys'], 0, 4),
                    $part['rev'],
                    $part['cc'],
                ),
            ];
    }

    /**
     * @param  array<array-key, string>  $keys
     * @return list<HardwareIdentifier>
     */
    private static function usb(array $keys): array
    {
        $part = self::parts($keys, [
            'vid' => [4],
            'pid' => [4],
            'rev' => [4],
            'mi' => [2],
            'class' => [2],
            'subclass' => [2],
            'prot' => [2],
        ]);
        if ($part === null) {
            return [];
        }
        $class = $part['class'] === null ? null : $part['class'].$part['subclass'].$part['prot'];

        return self::saysNothing($part['vid'], $part['pid'], $class)
            ? []
            : [
                new HardwareIdentifier(
                    Bus::Usb,
                    $part['vid'],
                    $part['pid'],
                    revision: $part['rev'],
                    class: $class,
                    interface: $part['mi'],
                ),
            ];
    }

    /**
     * @param  array<array-key, string>  $keys
     * @return list<HardwareIdentifier>
     */
    private static function audio(array $keys): array
    {
        $part = self::parts($keys, ['func' => [2], 'ven' => [4], 'dev' => [4], 'subsys' => [8], 'rev' => [4]]);

        return match (true) {
            // Function 1 is sound; the others are modems and the like.
            $part === null || ($part['func'] ?? '01') !== '01' => [],
            $part['ven'] !== null => [
                new HardwareIdentifier(
                    Bus::Audio,
                    $part['ven'],
                    $part['dev'],
                    $part['subsys'] === null ? null : substr($part['subsys'], 0, 4).':'.substr($part['subsys'], 4),
                    $part['rev'],
                ),
            ],
            $part['func'] !== null => [new HardwareIdentifier(Bus::Audio, class: $part['func'])],
            default => [],
        };
    }

    /** A device number without a maker's, or neither maker nor class: nothing to know a device by. */
    private static function saysNothing(?string $vendor, ?string $device, ?string $class): bool
    {
        return $vendor === null && ($device !== null || $class === null);
    }

    /**
     * The values of the keys that narrow a device. One that is there and is not of its length in hexadecimal digits
     * spoils the whole: without it the rest would claim more than was written.
     *
     * @template K of string
     *
     * @param  array<array-key, string>  $keys
     * @param  array<K, list<int>>  $lengths  key => how many digits it may have
     * @return array<K, string|null>|null
     */
    private static function parts(array $keys, array $lengths): ?array
    {
        $parts = [];
        foreach ($lengths as $key => $allowed) {
            $value = $keys[$key] ?? null;
            if ($value !== null && ! (in_array(strlen($value), $allowed, true) && ctype_xdigit($value))) {
                return null;
            }
            $parts[$key] = $value;
        }

        return $parts;
    }
}
