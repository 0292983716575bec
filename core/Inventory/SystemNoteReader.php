<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/**
 * Reads the collector's own note: architecture, whether the kernel's EFI folder stands, battery, tools that were
 * missing (rule A1).
 */
final class SystemNoteReader
{
    public const HEAD = 'cobblestone-collect 1';

    private const ARCHITECTURES = [
        'x86_64' => 'x86-64',
        'amd64' => 'x86-64',
        'i386' => 'x86-32',
        'i586' => 'x86-32',
        'i686' => 'x86-32',
        'aarch64' => 'arm-64',
        'arm64' => 'arm-64',
    ];

    private const MOST_LINKS = 64;

    private const TIME = '/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d)?Z$/';

    private const STARTED_BY_UEFI = ['firmware.kind' => 'uefi', 'boot.started_by' => 'uefi'];

    public static function read(string $text): Reading
    {
        $facts = $notes = $links = [];
        $at = null;
        foreach (explode("\n", $text) as $index => $line) {
            $line = trim($line);
            if ($line === '' || $index === 0) {
                continue;
            }
            [$key, $value] = array_pad(array_map(trim(...), explode(':', $line, 2)), 2, '');
            $read = self::fact($key, $value);
            match (true) {
                $read !== null => $facts += $read,
                $key === 'time' => $at = preg_match(self::TIME, $value) === 1 ? substr($value, 0, 16).'Z' : null,
                $key === 'link' => $links[] = $value,
                default => $notes[] = self::note($key, $value) ?? 'system.txt, line '.($index + 1).': "'.
                    mb_substr($line, 0, 40).'" was not understood; left out.',
            };
        }

        return new Reading('collector', 'pasted', $at, $facts + self::links($links), notes: $notes);
    }

    /** What stood in the collector's way; null where the line says nothing of that. */
    private static function note(string $key, string $value): ?string
    {
        return match ($key) {
            'architecture' => "The collector ran on \"{$value}\", an architecture that is not known here.",
            'missing' => "The collector found no {$value} on that system, so nothing is known from it.",
            'refused' => "The collector was not allowed to run {$value}; start it as root for more.",
            default => null,
        };
    }

    /** @return array<string, int|float|string>|null what the line says of the machine; null where it says nothing */
    private static function fact(string $key, string $value): ?array
    {
        return match ($key) {
            'architecture' => isset(self::ARCHITECTURES[$value])
                ? ['architecture' => self::ARCHITECTURES[$value]]
                : null,
            'efi folder' => $value === 'present' ? self::STARTED_BY_UEFI : ['boot.started_by' => 'legacy'],
            'battery' => self::battery($value),
            'memory usable' => preg_match('/^([0-9]{4,13}) kB$/', $value, $match) === 1
                ? ['memory.usable_bytes' => 1024 * (int) $match[1]]
                : [],
            'system', 'build' => array_filter(["running.{$key}" => Plain::word($value)]),
            default => null,
        };
    }

    /**
     * Such as "pci:46e1:7700 width 16": how wide the link of a device is now.
     *
     * @param  list<string>  $links
     * @return array<string, list<string>>
     */
    private static function links(array $links): array
    {
        $read = array_values(array_filter(
            array_slice($links, 0, self::MOST_LINKS),
            static fn (string $one): bool => preg_match('/^pci:[0-9a-f]{4}:[0-9a-f]{4} width [0-9]{1,2}$/', $one) === 1,
        ));

        return $read === [] ? [] : ['device.links' => $read];
    }

    /**
     * "design 52000 full 47800 mWh, charge 63 %".
     *
     * @return array<string, int|float>
     */
    private static function battery(string $value): array
    {
        $facts = [];
        if (preg_match('/design ([0-9]{3,7}) full ([0-9]{3,7}) mWh/', $value, $match) === 1) {
            $facts['battery.design_wh'] = round((int) $match[1] / 1000, 1);
            $facts['battery.health'] = round(min(1.2, (int) $match[2] / (int) $match[1]), 3);
        }
        if (preg_match('/charge ([0-9]{1,3}) %/', $value, $match) === 1) {
            $facts['battery.percent'] = min(100, (int) $match[1]);
        }

        return $facts;
    }
}
