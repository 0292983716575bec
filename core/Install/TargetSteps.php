<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\DriveWords;
use Cobblestone\Machine\Machine;
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

/**
 * Finding the one drive in the installer and erasing it: by serial and by the figures an installer shows (rules I1,
 * K2, K3).
 */
final class TargetSteps
{
    /** How much less than the whole drive may be shown as free: tables and alignment (default). */
    private const FREE_TOLERANCE = 0.01;

    public static function find(TargetDrive $target): Step
    {
        $drive = $target->drive;
        $what = match (true) {
            $drive === null => ['Compare size and contents of the drive with what the owner expects.'],
            $target->isProven() => [
                'In the installer, find the drive by the size in the table, then compare its serial.',
                'No label to be seen? The installer\'s console shows it: `lsblk -b -o NAME,SIZE,SERIAL,MODEL`.',
            ],
            default => [
                'In the installer, find the drive by the size in the table.',
                'It reports no serial of its own: size, model and contents must all fit, and it must be the only '
                    .'drive listed besides the stick.',
            ],
        };

        return new Step(
            'target.find',
            Stage::Target,
            'Find the drive',
            Presence::Hands,
            Estimate::minutes(1, 2, 6),
            [...$what, 'The number the installer gives it means nothing.'],
            before: [PathFact::MEDIUM_STARTED],
            after: [PathFact::TARGET_NAMED],
            needs: ['hands'],
            because: $target->decisions === []
                ? [new Reason('The target drive is still unknown; the question on this job settles it.', 'I1')]
                : [$target->decisions[0]->asReason()],
            cautions: ['No drive listed at all: stop, and see which controller mode is set. Do not force anything.'],
            evidence: self::found($target),
            rows: self::rows($target),
            worksOn: WorksOn::Target,
        );
    }

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
        $free =
            $drive === null
                ? 'The free space must then be the whole drive.'
                : 'The free space must then be the whole '
                    ."drive: {$drive->size->decimal()}, or {$drive->size->binary()}. Clearly less means another "
                    .'drive, or a partition left.';

        return new Step(
            'target.erase',
            Stage::Target,
            $blank ? 'Lay out the drive' : 'Erase the drive',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 4),
            [
                $blank
                    ? 'It is blank: there is no partition to delete.'
                    : 'Delete every partition of this drive in the installer.',
                $free,
                "Let {$system->name} lay out the drive as in the core beside.",
            ],
            before: [PathFact::MEDIUM_STARTED, PathFact::TARGET_NAMED, PathFact::OWNER_AGREED, PathFact::POWER_SAFE, ...$waitsFor],
            after: [PathFact::TARGET_ERASED],
            needs: ['hands'],
            acts: [Act::Erase],
            gates: $gates,
            because: [
                ...array_map(static fn (Decision $decision): Reason => $decision->asReason(), $target->decisions),
                new Reason('The goal is a clean install: the whole drive is laid out anew.', 'I2', $system->dated()),
            ],
            cautions: $blank
                ? []
                : [
                    'Everything on the drive is lost. Deleting is not secure erasure: the data could still be '
                        .'recovered by others.',
                ],
            done: DoneWords::in(
                SheetPart::Drive,
                $drive?->detailed === false
                    ? "{$drive->title()} was laid out anew."
                    : ($blank
                        ? "{$bytes->decimal()} that were blank were laid out."
                        : 'Erased: '.
                            ($drive?->title() ?? 'the internal drive').
                            '. Deleting is not secure erasure.'),
            ),
            evidence: $drive === null
                ? []
                : [
                    new Evidence(
                        'free_seen',
                        'Free space that the installer shows now',
                        EvidenceKind::Size,
                        expected: new Expected(
                            (string) $drive->size->count,
                            self::FREE_TOLERANCE,
                            others: self::couldBe($target),
                        ),
                        remedy: 'Stop: this is another drive, or a partition is left.',
                    ),
                ],
            confirmation: new Confirmation(
                $drive?->title() ?? 'the internal drive',
                $bytes->count,
                $target->isProven() ? $drive?->serial : null,
                self::loses($drive),
                $owner,
                typed: $target->isProven(),
            ),
            boots: [BootEvent::change(['target' => 'erased'])],
            worksOn: WorksOn::Target,
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
                    static fn ($partition): string => $partition->title().' ('.$partition->size->binary().')',
                    $drive->partitions,
                ),
            ),
        };
    }

    /** @return list<Evidence> */
    private static function found(TargetDrive $target): array
    {
        $drive = $target->drive;
        if ($drive === null) {
            return [new Evidence('serial_noted', 'Serial of the drive, as read', EvidenceKind::Text)];
        }
        $size = new Evidence(
            'size_seen',
            'Size that the installer shows for it',
            EvidenceKind::Size,
            expected: new Expected(
                (string) $drive->size->count,
                source: Expected::READING,
                others: self::couldBe($target),
            ),
            remedy: 'Stop: look at every drive it lists, and compare serials.',
        );

        return $target->isProven()
            ? [
                $size,
                new Evidence(
                    'serial_seen',
                    'Serial of this drive',
                    EvidenceKind::Serial,
                    expected: new Expected((string) $drive->serial, source: Expected::READING, hidden: true),
                    remedy: 'Read it once more; if it still differs, stop: this is another drive.',
                ),
                new Evidence('read_from', 'Where the serial was read', EvidenceKind::Choice, Confirmation::READ_FROM),
            ]
            : [$size];
    }

    /** @return array<string, int> drives it could be mistaken for, as far as they stay in */
    private static function couldBe(TargetDrive $target): array
    {
        $others = [];
        foreach ($target->others as $other) {
            if (! in_array($other, $target->out, true)) {
                $others[DriveWords::full($other)] = $other->size->count;
            }
        }

        return $others;
    }

    /** @return list<array<string, string>> what an installer shows for every drive of this machine */
    private static function rows(TargetDrive $target): array
    {
        $rows = [];
        if ($target->drive !== null) {
            $rows[] = [
                'drive' => DriveWords::target($target->drive),
                ...DriveWords::sizes($target->drive->size),
                'is' => 'the target',
            ];
        }
        foreach ($target->others as $other) {
            $rows[] = [
                'drive' => DriveWords::full($other),
                ...DriveWords::sizes($other->size),
                'is' => in_array($other, $target->out, true) ? 'out: not listed' : 'stays in, not this one',
            ];
        }

        return $rows;
    }
}
