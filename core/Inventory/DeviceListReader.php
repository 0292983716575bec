<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Identifier\IdentifierReader;

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
        'compatible' => ['compatible identifiers', 'compatible identifier', 'compatible id', 'compatible ids'],
        'status' => ['status', 'state', 'problem'],
        'driver' => ['driver version', 'driverversion', 'driver'],
        'class' => ['class', 'kind', 'type'],
    ];

    /** Bytes of identifiers that are read of one device; a device has a dozen of forty signs. */
    private const LONGEST_CELL = 4000;

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
            $device = self::device($columns, str_getcsv($line, $separator, '"', ''));
            if (is_string($device)) {
                $notes[] =
                    'device list, line '.
                    ($index + 2).
                    ': "'.
                    mb_substr($device === '' ? trim($line) : $device, 0, 40).
                    '" has no hardware identifier that can be read; left out.';
            } else {
                $devices[] = $device;
            }
        }

        return new Reading('device-list', 'pasted', devices: $devices, notes: $notes);
    }

    /**
     * @param  array<string, int>  $columns
     * @param  array<int, string|null>  $cells
     * @return Device|string the name of a line without an identifier
     */
    private static function device(array $columns, array $cells): Device|string
    {
        $raw = static fn (string $column): string => isset($columns[$column])
            ? substr((string) ($cells[$columns[$column]] ?? ''), 0, self::LONGEST_CELL)
            : '';
        $all = IdentifierReader::all($raw('id').' '.$raw('compatible'));
        $known = array_values(array_filter($all, static fn (HardwareIdentifier $of): bool => $of->device !== null));
        $name = Plain::word($raw('name'));
        if ($known === []) {
            return $name ?? '';
        }
        $identifier = $known[0]->short();
        $texts = array_map(static fn (HardwareIdentifier $of): string => $of->text(), $all);

        return new Device(
            $name ?? $identifier,
            $identifier,
            self::family((string) (Plain::word($raw('class')) ?? $name ?? $identifier)),
            null,
            Plain::word($raw('status')),
            identifiers: $texts === [$identifier] ? [] : $texts,
            driver: Plain::word($raw('driver')),
        );
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
