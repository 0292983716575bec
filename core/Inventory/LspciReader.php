<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\Bus;
use Cobblestone\Machine\Identifier\HardwareIdentifier;

/** Reads `lspci -vmmnnk` (records of tags) and `lspci -nn` (one line a device) (rules A1, D1). */
final class LspciReader
{
    private const LINE = '/^(?:[0-9a-f]{4,8}:)?[0-9a-f]{2}:[0-9a-f]{2}\.[0-7] [^\[]*\[([0-9a-f]{4})\]: (.*) '
        .'\[([0-9a-f]{4}):([0-9a-f]{4})\](?: \(rev ([0-9a-f]{2})\))?(?: \(prog-if ([0-9a-f]{2}))?/i';

    public static function read(string $text): Reading
    {
        $records = preg_match('/^Slot:\s/m', $text) === 1;
        [$devices, $notes] = $records ? self::records($text) : self::lines($text);
        // With -k each record that has a driver says so; then one that does not has none.
        if ($records && preg_match('/^Driver:\s/m', $text) === 1) {
            $devices = array_map(
                static fn (Device $of): Device => $of->driver === null ? $of->withStatus('no driver') : $of,
                $devices,
            );
        }

        return new Reading('lspci', 'pasted', devices: $devices, notes: $notes);
    }

    /** @return array{0: list<Device>, 1: list<string>} */
    private static function records(string $text): array
    {
        $devices = [];
        $notes = [];
        $tags = [];
        $begun = 1;
        foreach ([...explode("\n", $text), ''] as $index => $line) {
            $line = rtrim($line, "\r");
            if (trim($line) === '') {
                if ($tags !== []) {
                    self::device($tags, $begun, $devices, $notes);
                }
                $tags = [];
                $begun = $index + 2;
            } elseif (preg_match('/^([A-Za-z]+):\s*(.*)$/', $line, $match) === 1) {
                $tags[$match[1]] = $match[2];
            } else {
                $notes[] =
                    'lspci, line '.
                    ($index + 1).
                    ': "'.
                    mb_substr(trim($line), 0, 40).
                    '" is not a tag and its value; left out.';
            }
        }

        return [$devices, $notes];
    }

    /**
     * @param  array<string, string>  $tags
     * @param  list<Device>  $devices
     * @param  list<string>  $notes
     */
    private static function device(array $tags, int $line, array &$devices, array &$notes): void
    {
        $number = static fn (string $tag): ?string => preg_match(
            '/\[([0-9a-f]{4})\]$/i',
            $tags[$tag] ?? '',
            $match,
        ) === 1
            ? strtolower($match[1])
            : null;
        [$class, $vendor, $device] = [$number('Class'), $number('Vendor'), $number('Device')];
        if ($class === null || $vendor === null || $device === null) {
            $notes[] = "lspci, line {$line}: the record names no class, vendor and device number; run lspci with "
                .'-nn. Left out.';

            return;
        }
        $family = PciClass::family($class);
        if ($family !== null) {
            $words = static fn (string $tag): string => trim(
                (string) preg_replace('/ ?\[[0-9a-f]{4}\]$/i', '', $tags[$tag] ?? ''),
            );
            $subsystem =
                $number('SVendor') !== null && $number('SDevice') !== null
                    ? $number('SVendor').':'.$number('SDevice')
                    : null;
            $devices[] = new Device(
                self::name($words('Vendor'), $words('Device'), $family),
                "pci:{$vendor}:{$device}",
                $family,
                $subsystem,
                wired: $class === '0200',
                identifiers: [self::whole("{$vendor}:{$device}", $subsystem, $tags['Rev'] ?? '', [
                    $class,
                    $tags['ProgIf'] ?? '',
                ])],
                driver: Plain::word($tags['Driver'] ?? null),
            );
        }
    }

    /** @return array{0: list<Device>, 1: list<string>} */
    private static function lines(string $text): array
    {
        $devices = [];
        $notes = [];
        foreach (explode("\n", $text) as $index => $line) {
            $line = rtrim($line);
            if ($line === '' || preg_match('/^\s/', $line) === 1) {
                continue;
            }
            if (preg_match(self::LINE, $line, $match) !== 1) {
                $notes[] =
                    'lspci, line '.
                    ($index + 1).
                    ': "'.
                    mb_substr($line, 0, 40).
                    '" has no numbers in brackets; run lspci with -nn. Left out.';

                continue;
            }
            $family = PciClass::family(strtolower($match[1]));
            if ($family !== null) {
                $devices[] = new Device(
                    mb_substr($match[2], 0, 120),
                    strtolower("pci:{$match[3]}:{$match[4]}"),
                    $family,
                    identifiers: [
                        self::whole("{$match[3]}:{$match[4]}", null, $match[5] ?? '', [$match[1], $match[6] ?? '']),
                    ],
                );
            }
        }

        return [$devices, $notes];
    }

    /**
     * Everything one line or record says of what a device is called.
     *
     * @param  array{string, string}  $class  class, and the interface within it where it is said
     */
    private static function whole(string $numbers, ?string $subsystem, string $revision, array $class): string
    {
        [$vendor, $device] = explode(':', strtolower($numbers));
        $pair = static fn (string $text): ?string => preg_match('/^[0-9a-f]{2}$/i', $text) === 1
            ? strtolower($text)
            : null;

        return (new HardwareIdentifier(
            Bus::Pci,
            $vendor,
            $device,
            $subsystem,
            $pair($revision),
            strtolower($class[0]).$pair($class[1]),
        ))->text();
    }

    private static function name(string $vendor, string $device, string $family): string
    {
        $device = $device === 'Device' || $device === '' ? $family : $device;

        return mb_substr(str_starts_with($device, $vendor) ? $device : trim("{$vendor} {$device}"), 0, 120);
    }
}
