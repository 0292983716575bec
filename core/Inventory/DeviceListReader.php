<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\Device;

/**
 * Reads a plain list of devices: name, hardware identifiers, status, driver version, separated by comma, semicolon or
 * tab (rules A1, D1).
 */
final class DeviceListReader
{
    /** Column => words its heading may be. */
    private const COLUMNS = [
        'name' => ['name', 'device', 'device name', 'friendly name', 'description'],
        'id' => [
            'hardware identifiers',
            'hardware identifier',
            'hardware id',
            'hardware ids',
            'hardwareid',
            'identifiers',
            'id',
            'instance id',
            'device id',
        ],
        'status' => ['status', 'state', 'problem'],
        'driver' => ['driver version', 'driverversion', 'driver'],
        'class' => ['class', 'kind', 'type'],
    ];

    private const FAMILIES = [
        '/display|graphic|video/i' => 'graphics',
        '/net|wireless|ethernet|bluetooth/i' => 'network',
        '/audio|sound|media/i' => 'audio',
        '/camera|image/i' => 'camera',
        '/storage|scsi|disk|hdc/i' => 'storage',
        '/keyboard|mouse|touch|hid|input/i' => 'input',
        '/system|chipset/i' => 'chipset',
        '/sensor|biometric/i' => 'sensor',
    ];

    public static function recognises(string $text): bool
    {
        $head = strtok(ltrim($text, "\u{FEFF}\r\n "), "\r\n");

        return $head !== false && isset(self::heading($head)[0]['name'], self::heading($head)[0]['id']);
    }

    public static function read(string $text): Reading
    {
        $lines = preg_split('/\r\n|\n|\r/', ltrim($text, "\u{FEFF}")) ?: [];
        [$columns, $separator] = self::heading((string) array_shift($lines));
        $devices = [];
        $notes = [];
        foreach ($lines as $index => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = str_getcsv($line, $separator, '"', '');
            $cell = static fn (string $column): ?string => isset($columns[$column])
                ? Plain::word($cells[$columns[$column]] ?? null)
                : null;
            $identifier = self::identifier((string) $cell('id'));
            if ($identifier === null) {
                $notes[] =
                    'device list, line '.
                    ($index + 2).
                    ': "'.
                    mb_substr((string) ($cell('name') ?? trim($line)), 0, 40).
                    '" has no hardware identifier that can be read; left out.';

                continue;
            }
            $name = $cell('name') ?? $identifier;
            $devices[] = new Device(
                $name,
                $identifier,
                self::family((string) ($cell('class') ?? $name)),
                null,
                $cell('status'),
            );
        }

        return new Reading('device-list', 'pasted', devices: $devices, notes: $notes);
    }

    /** The most general usable form among the identifiers of one cell: bus, vendor and device. */
    private static function identifier(string $cell): ?string
    {
        return match (true) {
            preg_match('/PCI\\\\VEN_([0-9A-F]{4})&DEV_([0-9A-F]{4})/i', $cell, $m) === 1,
            preg_match('/\bpci:v0000([0-9A-F]{4})d0000([0-9A-F]{4})/i', $cell, $m) === 1,
            preg_match('/\bpci:([0-9a-f]{4}):([0-9a-f]{4})\b/i', $cell, $m) === 1 => strtolower("pci:{$m[1]}:{$m[2]}"),
            preg_match('/USB\\\\VID_([0-9A-F]{4})&PID_([0-9A-F]{4})/i', $cell, $m) === 1,
            preg_match('/\busb:v([0-9A-F]{4})p([0-9A-F]{4})/i', $cell, $m) === 1,
            preg_match('/\busb:([0-9a-f]{4}):([0-9a-f]{4})\b/i', $cell, $m) === 1 => strtolower("usb:{$m[1]}:{$m[2]}"),
            preg_match('/HDAUDIO\\\\FUNC_01&VEN_([0-9A-F]{4})&DEV_([0-9A-F]{4})/i', $cell, $m) === 1,
            preg_match(
                '/\bhdaudio:v?([0-9a-f]{4})([0-9a-f]{4})/i',
                $cell,
                $m,
            ) === 1 => strtolower("hdaudio:{$m[1]}{$m[2]}"),
            preg_match('/ACPI\\\\(?:VEN_)?([A-Z]{3,4})(?:&DEV_)?([0-9A-F]{4})/i', $cell, $m) === 1,
            preg_match('/\bacpi:([A-Z]{3,4})([0-9A-F]{4})/i', $cell, $m) === 1 => strtolower("acpi:{$m[1]}{$m[2]}"),
            default => null,
        };
    }

    private static function family(string $words): string
    {
        foreach (self::FAMILIES as $pattern => $family) {
            if (preg_match($pattern, $words) === 1) {
                return $family;
            }
        }

        return 'other';
    }

    /** @return array{0: array<string, int>, 1: non-empty-string} column => place, and the separator */
    private static function heading(string $line): array
    {
        foreach ([',', ';', "\t"] as $separator) {
            $cells = array_map(
                static fn (?string $cell): string => mb_strtolower(trim((string) $cell)),
                str_getcsv($line, $separator, '"', ''),
            );
            $columns = [];
            foreach (self::COLUMNS as $column => $words) {
                foreach ($cells as $place => $cell) {
                    if (! isset($columns[$column]) && in_array($cell, $words, true)) {
                        $columns[$column] = $place;
                    }
                }
            }
            if (count($columns) >= 2) {
                return [$columns, $separator];
            }
        }

        return [[], ','];
    }
}
