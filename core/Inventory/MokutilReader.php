<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/** Reads `mokutil --sb-state`: whether Secure Boot is in force, which is more than being set (rules A1, F2). */
final class MokutilReader
{
    public static function read(string $text): Reading
    {
        $facts = [];
        $notes = [];
        foreach (explode("\n", $text) as $index => $line) {
            $line = trim($line);
            match (true) {
                $line === '' => null,
                preg_match('/^SecureBoot enabled$/i', $line) === 1 => ($facts = [...$facts, ...self::secureBoot('on')]),
                preg_match('/^SecureBoot disabled$/i', $line) === 1 => ($facts = [
                    ...$facts,
                    ...self::secureBoot('off'),
                ]),
                preg_match('/Platform is in Setup Mode/i', $line) === 1 => ($facts['firmware.key_mode'] = 'setup'),
                preg_match('/validation is disabled in shim/i', $line) === 1 => ($notes[] =
                    'mokutil: the first loader was told not to check what it starts; the firmware still checks that '
                        .'loader.'),
                preg_match('/EFI variables are not supported/i', $line) === 1 => ([$facts, $notes] = [
                    [...$facts, 'boot.started_by' => 'legacy'],
                    [
                        ...$notes,
                        'mokutil: the system it ran on was not started by UEFI, so nothing is said about Secure Boot.',
                    ],
                ]),
                preg_match('/doesn\'t support Secure Boot/i', $line) === 1 => ($facts = [
                    ...$facts,
                    'firmware.secure_boot_capable' => 'no',
                    'firmware.kind' => 'uefi',
                ]),
                default => ($notes[] =
                    'mokutil, line '.
                    ($index + 1).
                    ': "'.
                    mb_substr($line, 0, 40).
                    '" was not understood; left out.'),
            };
        }

        return new Reading('mokutil', 'pasted', facts: $facts, notes: $notes);
    }

    /** @return array<string, string> */
    private static function secureBoot(string $state): array
    {
        return [
            'firmware.secure_boot' => $state,
            'firmware.secure_boot_in_force' => $state,
            'firmware.kind' => 'uefi',
        ];
    }
}
