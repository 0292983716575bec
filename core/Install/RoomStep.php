<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Partition;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Step;

/** The stone that makes room on a drive on which something stays, in words (rules I2, I8). */
final class RoomStep
{
    /** The stone that erases, as one that leaves standing what stays; it waits for the same and is confirmed too. */
    public static function insteadOf(Step $erase, Keeping $keeping, SystemProfile $system): Step
    {
        return $erase->with([
            'title' => $keeping->deleted === [] ? 'Place the new partitions' : 'Make room on the drive',
            'instructions' => self::instructions($keeping),
            'because' => [
                ...array_slice($erase->because, 0, -1),
                new Reason('Something on the drive is to stay: only what makes room goes.', 'I8', $system->dated()),
            ],
            'cautions' => [
                'Never the line that takes the whole drive.',
                'What stays is not safe because it is meant to stay. Its copy is the way back.',
            ],
            'done' => self::doneWords($keeping),
            'evidence' => array_map(
                static fn (Evidence $one): Evidence => $one->id === 'free_seen' ? self::free($one, $keeping) : $one,
                $erase->evidence,
            ),
            'rows' => $keeping->rows(),
            'confirmation' => $erase->confirmation?->losing(self::loses($keeping)),
            // The other system still starts while there is room only.
            'boots' => $keeping->other === null ? $erase->boots : [],
        ]);
    }

    /** @return list<string> */
    private static function instructions(Keeping $keeping): array
    {
        return [
            'Go by the table: compare size and beginning of each line before anything is deleted. Numbers and letters '
                .'differ here.',
            $keeping->deleted === []
                ? 'Delete nothing.'
                : 'Delete only what the table says: '.self::said($keeping->deleted).'.',
            "The room must then be {$keeping->free->decimal()}, or {$keeping->free->binary()}. More means that "
                .'something is gone which should have stayed: stop.',
            'Make the new partitions in that room, in the order of the table.',
            ...$keeping->efi !== null && $keeping->efi->used === null
                ? ['Nobody has read how full '.$keeping->efi->title().' is: look that '.KeepingRules::LOADER_MIB
                    .' MiB of it are free.']
                : [],
        ];
    }

    private static function free(Evidence $whole, Keeping $keeping): Evidence
    {
        $expected = new Expected((string) $keeping->free->count, $whole->expected->tolerance ?? 0.0);

        return new Evidence(
            $whole->id,
            'Free room that the installer shows now',
            $whole->kind,
            expected: $expected,
            remedy: 'Stop: something went that should have stayed, or a partition is left that should go.',
        );
    }

    private static function doneWords(Keeping $keeping): DoneWords
    {
        $deleted = $keeping->deleted === []
            ? 'Nothing was deleted'
            : 'Deleted: '.self::said($keeping->deleted).'. Deleting is not secure erasure';

        return DoneWords::in(SheetPart::Drive, "{$deleted}. Kept: ".self::said($keeping->kept).'.');
    }

    private static function loses(Keeping $keeping): string
    {
        return $keeping->deleted === []
            ? 'nothing, if only the free room is used'
            : self::said($keeping->deleted);
    }

    /** @param  list<Partition>  $partitions */
    private static function said(array $partitions): string
    {
        return implode(', ', array_map(
            static fn (Partition $one): string => $one->sized(),
            $partitions,
        ));
    }
}
