<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Machine\Drive;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Tuning\AcceptanceRows;

/** Rows of the parts: threads, memory, its rate, drives, firmware (rule T1). */
final class MachineRows
{
    /** Share that a rate may be off: tools round the multiplier. */
    private const RATE_TOLERANCE = 0.01;

    /** @return list<Evidence> */
    public static function of(Promises $of): array
    {
        return array_values(array_filter([
            self::threads($of),
            self::installed($of),
            self::rate($of),
            ...array_map(static fn (Drive $drive): ?Evidence => self::drive($drive, $of), $of->drives),
            self::firmware($of),
        ]));
    }

    private static function threads(Promises $of): ?Evidence
    {
        $threads = $of->machine->fact('threads');

        return is_int($threads->value) ? AcceptanceRows::row(
            'threads',
            'Threads',
            EvidenceKind::Count,
            new Expected($threads->text(), source: $threads->isKnown() ? Expected::READING : Expected::CATALOGUE),
            'Look in the setup whether cores or threads are switched off there.',
        )->readBy($of->reads->way('processor', true)) : null;
    }

    private static function installed(Promises $of): ?Evidence
    {
        $memory = $of->machine->fact('memory_bytes');

        return is_int($memory->value) ? AcceptanceRows::row(
            'memory_installed',
            'Memory that is installed',
            EvidenceKind::Size,
            new Expected(
                (string) $memory->value,
                source: $memory->isKnown() ? Expected::READING : Expected::CATALOGUE,
            ),
            'Reseat the modules; a slot that shows nothing is tried with another module.',
        )->readBy($of->reads->way('memory', true)) : null;
    }

    private static function rate(Promises $of): ?Evidence
    {
        return $of->rate === null ? null : AcceptanceRows::row(
            'memory_rate',
            'Rate of the memory',
            EvidenceKind::Rate,
            new Expected("{$of->rate} MT/s", self::RATE_TOLERANCE),
            'Look at the memory profile in the setup.',
        )->readBy($of->reads->way('memory_rate', true));
    }

    private static function drive(Drive $drive, Promises $of): ?Evidence
    {
        $id = RowId::drive($drive);

        return $id === null ? null : AcceptanceRows::row(
            $id,
            'Size of '.($drive->model ?? 'the drive').", serial {$drive->serial}",
            EvidenceKind::Size,
            new Expected((string) $drive->size->count, source: Expected::READING),
            'Where it does not show, look at its cable and its lead; nothing was to be changed on it.',
            Bytes::of($drive->size->count)->exact(),
        )->readBy($of->reads->way('drives', true));
    }

    private static function firmware(Promises $of): ?Evidence
    {
        return $of->firmware === null ? null : AcceptanceRows::row(
            'firmware_version',
            'Firmware version',
            EvidenceKind::Text,
            new Expected($of->firmware, source: $of->updates ? Expected::PLAN : Expected::READING),
            $of->updates ? 'Write that version again, by the same way.' : 'Nothing was to change it: ask who did.',
        )->readBy($of->reads->way('firmware', true));
    }
}
