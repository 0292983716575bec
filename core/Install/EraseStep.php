<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WorksOn;

/** The stone that erases the drive, and what it has to be told from. */
final class EraseStep
{
    /** The stone before a system is installed; other kinds of job erase by stones of their own. */
    public const STEP = 'target.erase';

    /** How much less than the whole drive may be shown as free: tables and alignment (default). */
    private const FREE_TOLERANCE = 0.01;

    /**
     * @param  list<Gate>  $gates
     * @param  list<string>  $waitsFor
     */
    public static function erase(
        Machine $machine,
        SystemProfile $system,
        TargetDrive $target,
        array $gates,
        array $waitsFor,
        string $owner,
    ): Step {
        $drive = $target->drive;
        $blank = $drive?->isBlank() === true;
        $bytes = $drive !== null ? $drive->size : Bytes::of((int) $machine->fact('drive_bytes')->value);

        return new Step(
            self::STEP,
            Stage::Target,
            $blank ? 'Lay out the drive' : 'Erase the drive',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 4),
            self::instructions($blank, ($drive->partitions ?? []) !== [], self::freeSpace($drive), $system),
            before: [
                PathFact::MEDIUM_STARTED, PathFact::TARGET_NAMED, PathFact::OWNER_AGREED, PathFact::POWER_SAFE,
                ...$waitsFor,
            ],
            after: [PathFact::TARGET_ERASED],
            needs: ['hands'],
            acts: [Act::Erase],
            gates: $gates,
            because: [
                ...array_map(static fn (Decision $decision): Reason => $decision->asReason(), $target->decisions),
                new Reason('The goal is a clean install: the whole drive is laid out anew.', 'I2', $system->dated()),
            ],
            cautions: self::cautions($blank),
            done: self::doneWords($drive, $blank, $bytes),
            evidence: self::freeSeen($drive, $target),
            confirmation: self::confirmation($drive, $bytes, $target, $owner),
            boots: [BootEvent::change(['target' => 'erased'])],
            worksOn: WorksOn::Target,
            rows: self::rows($drive),
        );
    }

    /**
     * The lines that the installer shows of this drive, to be compared before the first is deleted.
     *
     * @return list<array<string, string>>
     */
    private static function rows(?Drive $drive): array
    {
        return array_map(static fn (Partition $one): array => [
            'partition' => $one->title(),
            'size' => "{$one->size->decimal()}, or {$one->size->binary()}",
            ...$one->startSector === null ? [] : ['begins at sector' => (string) $one->startSector],
            'becomes' => 'deleted',
        ], $drive->partitions ?? []);
    }

    private static function freeSpace(?Drive $drive): string
    {
        $free =
            $drive === null
                ? 'The free space must then be the whole drive.'
                : 'The free space must then be the whole '
                    ."drive: {$drive->size->decimal()}, or {$drive->size->binary()}. Clearly less means another "
                    .'drive, or a partition left.';

        return $free;
    }

    /**
     * @param  bool  $listed  whether its partitions were read
     * @return list<string>
     */
    private static function instructions(bool $blank, bool $listed, string $free, SystemProfile $system): array
    {
        return [
            $blank
                ? 'It is blank: there is no partition to delete.'
                : 'Delete every partition of this drive in the installer'
                    .($listed
                        ? ', as the table has them. A line that is not in it: stop, it may be another drive.'
                        : '.'),
            $free,
            "Let {$system->name} lay out the drive as in the core beside.",
        ];
    }

    /**
     * @return list<string>
     */
    private static function cautions(bool $blank): array
    {
        return $blank
            ? []
            : [
                'Everything on the drive is lost. Deleting is not secure erasure: the data could still be recovered '
                    .'by others.',
            ];
    }

    private static function doneWords(?Drive $drive, bool $blank, Bytes $bytes): DoneWords
    {
        return DoneWords::in(
            SheetPart::Drive,
            $drive?->detailed === false
                ? "{$drive->title()} was laid out anew."
                : ($blank
                    ? "{$bytes->decimal()} that were blank were laid out."
                    : 'Erased: '.
                        ($drive?->title() ?? 'the internal drive').
                        '. Deleting is not secure erasure.'),
        );
    }

    /**
     * @return list<Evidence>
     */
    private static function freeSeen(?Drive $drive, TargetDrive $target): array
    {
        return $drive === null
            ? []
            : [
                new Evidence(
                    'free_seen',
                    'Free space that the installer shows now',
                    EvidenceKind::Size,
                    expected: new Expected(
                        (string) $drive->size->count,
                        self::FREE_TOLERANCE,
                        others: TargetSteps::couldBe($target),
                    ),
                    remedy: 'Stop: this is another drive, or a partition is left.',
                ),
            ];
    }

    private static function confirmation(?Drive $drive, Bytes $bytes, TargetDrive $target, string $owner): Confirmation
    {
        return new Confirmation(
            $drive?->title() ?? 'the internal drive',
            $bytes->count,
            $target->isProven() ? $drive?->serial : null,
            self::loses($drive),
            $owner,
            typed: $target->isProven(),
        );
    }

    public static function loses(?Drive $drive): string
    {
        return match (true) {
            $drive === null => 'everything on the internal drive',
            $drive->isBlank() => 'nothing: the drive is blank',
            ! $drive->detailed => 'whatever is on it: its contents were not read',
            $drive->partitions === [] => 'everything on it',
            default => implode(
                ', ',
                array_map(
                    static fn ($partition): string => $partition->sized(),
                    $drive->partitions,
                ),
            ),
        };
    }
}
