<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\DriveWords;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WorksOn;

/**
 * Finding the one drive in the installer and erasing it: by serial and by the figures an installer shows (rules I1,
 * K2, K3).
 */
final class TargetSteps
{
    /** @param  list<string>  $after  facts that hold first */
    public static function find(TargetDrive $target, array $after = []): Step
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
            before: [PathFact::MEDIUM_STARTED, ...$after],
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
    public static function couldBe(TargetDrive $target): array
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
