<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/** Reads `efibootmgr -v`: what the firmware would start, in which order (rule A1; UEFI specification, boot manager). */
final class EfibootmgrReader
{
    public static function read(string $text): Reading
    {
        if (preg_match('/EFI variables are not supported/i', $text) === 1) {
            return self::legacyStart();
        }
        $facts = ['boot.started_by' => 'uefi', 'firmware.kind' => 'uefi'];
        $names = [];
        $notes = [];
        $order = [];
        foreach (explode("\n", $text) as $index => $line) {
            $line = rtrim($line);
            if (preg_match('/^Boot([0-9A-F]{4})(\*?) ([^\t]*)(?:\t(.*))?$/i', $line, $match) === 1) {
                $names[strtoupper($match[1])] =
                    trim(mb_substr($match[3], 0, 80)).
                    ($match[2] === '' ? ' (off)' : '').
                    self::partition($match[4] ?? $match[3]);
            } elseif (preg_match('/^BootOrder: ([0-9A-F,]+)$/i', $line, $match) === 1) {
                $order = explode(',', strtoupper($match[1]));
            } elseif (
                $line !== '' &&
                preg_match(
                    '/^(BootCurrent|BootNext|Timeout|No '
                        .'BootOrder|MirroredPercentageAbove4G|MirrorMemoryBelow4GB|\s|dp:|data:)/',
                    $line,
                ) !== 1
            ) {
                $notes[] =
                    'efibootmgr, line '.
                    ($index + 1).
                    ': "'.
                    mb_substr($line, 0, 40).
                    '" was not understood; left out.';
            }
        }

        return self::inOrder($names, $order, $facts, $notes);
    }

    private static function legacyStart(): Reading
    {
        return new Reading(
            'efibootmgr',
            'pasted',
            facts: ['boot.started_by' => 'legacy'],
            notes: [
                'efibootmgr: the system it ran on was not started by UEFI. The machine may still be able to.',
            ],
        );
    }

    /**
     * @param  array<string, string>  $names
     * @param  list<string>  $order
     * @param  array<string, string>  $facts
     * @param  list<string>  $notes
     */
    private static function inOrder(array $names, array $order, array $facts, array $notes): Reading
    {
        if ($names !== []) {
            $sorted = [
                ...array_intersect_key(array_replace(array_flip($order), $names), array_flip($order), $names),
                ...array_diff_key($names, array_flip($order)),
            ];
            $facts['boot.entries'] = array_values(array_map(strval(...), $sorted));
        }

        return new Reading(
            'efibootmgr',
            'pasted',
            facts: $names === [] && $order === [] ? [] : $facts,
            notes: $notes,
        );
    }

    /** " on GPT partition 1 (…3f2a)": the partition an entry names, which is gone after repartitioning. */
    private static function partition(string $path): string
    {
        return preg_match('/HD\(([0-9]+),GPT,([0-9a-f-]{36})/i', $path, $match) === 1
            ? " · partition {$match[1]}, …".substr(strtolower($match[2]), -4)
            : '';
    }
}
