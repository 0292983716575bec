<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Decision;
use Cobblestone\Text\Counted;

/** What was decided where something stays on the drive, in words (rules I2, I8). */
final class KeepingWords
{
    /**
     * The target drive with what stays on it.
     *
     * @param  array<array-key, SystemProfile>  $systems  of the catalogue, for the name of the one that stays
     */
    public static function on(TargetDrive $target, Machine $machine, SystemProfile $system, array $systems): TargetDrive
    {
        $bytes = $target->drive->size ?? Bytes::of(0);
        $scheme = PartitionPlan::scheme($machine, $system, $bytes, $target->drive->logicalSector ?? 512)[0];
        $keeping = Keeping::of($machine, $system, $target->drive, $scheme)?->naming($systems);
        if ($keeping === null || $keeping->kept === []) {
            return $target->keeping(null, [], $keeping->blockers ?? [], $keeping->questions ?? []);
        }
        // Where something shuts it, nothing is decided yet.
        $decisions = [...$keeping->blockers, ...$keeping->questions] === []
            ? [self::room($keeping), ...self::loader($keeping, $system, $machine)]
            : [];

        return $target->keeping($keeping, $decisions, $keeping->blockers, $keeping->questions);
    }

    private static function room(Keeping $keeping): Decision
    {
        $stays = array_map(static fn (Partition $one): string => $one->title(), $keeping->kept);

        return new Decision(
            'install.stays',
            'What stays on the drive',
            implode(', ', $stays),
            [
                Counted::of(count($keeping->deleted), 'partition').' deleted, '.
                    Counted::of(count($keeping->created), 'partition')." made in {$keeping->free->binary()}.",
            ],
            ['the whole drive' => ['Something on it is to stay.']],
            [Keeping::STAYS],
            'I2, I8',
        );
    }

    /** @return list<Decision> who starts whom, where two systems stand on one drive */
    private static function loader(Keeping $keeping, SystemProfile $system, Machine $machine): array
    {
        if ($keeping->other === null) {
            return [];
        }
        $old = $machine->fact('firmware.boot_mode')->is('legacy') || $machine->fact('firmware.kind')->is('bios');

        return [
            new Decision(
                'install.loader',
                'Who starts which system',
                $old
                    ? "the loader of {$system->name}, which has to list {$keeping->other}"
                    : "the firmware: {$system->name} first, {$keeping->other} from its list",
                [
                    $old
                        ? 'Started the old way there is one first sector, and the newest system writes it.'
                        : 'By UEFI each has an entry and a folder of its own in the EFI system partition.',
                    'Both are started at the proof.',
                ],
                [],
                [Keeping::OTHER],
                'I8',
            ),
        ];
    }
}
