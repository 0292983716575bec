<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Backup;

use Cobblestone\Assessment\Health\DriveHealth;
use Cobblestone\Brief\BackupBlock;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\HealthGrade;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Door;
use Cobblestone\Storage\Fat32Geometry;

/** Whether a backup fits where it is copied to: room with its margin, another drive, file size and names (rule A6). */
final class Destination
{
    /** The words tools print for what a brief calls otherwise. */
    private const READ_AS = ['vfat' => 'fat32', 'msdos' => 'fat16'];

    /**
     * Largest single file, and characters that names may not hold, by file system (the same set for FAT, exFAT and
     * NTFS).
     */
    private const NAMES = '"*:<>?|\\';

    private const STRICT = ['fat32', 'exfat', 'ntfs'];

    /**
     * The wish with the destination's file system as it was read, where that drive is among the machine's and was read
     * in detail; `was_said` then keeps what somebody had said instead.
     *
     * @param  list<Drive>  $drives  of the machine
     */
    public static function asRead(BackupBlock $wish, array $drives): BackupBlock
    {
        $said = $wish->destination?->fileSystem;
        $read = self::fileSystemRead($wish->destination->serial ?? '', $drives);
        if ($wish->destination === null || $read === null || $read === $said) {
            return $wish;
        }

        return $wish->withDestination($wish->destination->asRead($read));
    }

    /** @param  list<Drive>  $drives */
    private static function fileSystemRead(string $serial, array $drives): ?string
    {
        foreach ($serial === '' ? [] : $drives as $drive) {
            if ($drive->isNamed($serial)) {
                $volumes = $drive->partitions;
                usort($volumes, static fn (Partition $a, Partition $b): int => $b->size->count <=> $a->size->count);
                $read = $volumes[0]->fileSystem ?? $drive->wholeFileSystem;

                return $read === null ? null : self::READ_AS[strtolower($read)] ?? strtolower($read);
            }
        }

        return null;
    }

    /**
     * @param  Bytes|null  $need  bytes to copy with the margin
     * @return list<Blocker> one for each thing that cannot work; they shut the copy
     *
     * @throws BriefFault
     */
    public static function blockers(BackupBlock $wish, ?Bytes $need, ?Drive $erased): array
    {
        $to = $wish->destination;
        $blockers = [];
        $free = self::size($to?->freeBytes, 'backup.destination.free_bytes');
        if ($free !== null && $need !== null && $need->isMoreThan($free)) {
            $blockers[] = self::blocker(
                'destination-room',
                "The backup needs {$need->decimal()} with its "
                    ."margin, {$to?->name} has {$free->decimal()} free: short by {$need->minus(
                        $free,
                    )->decimal()}.",
                'Choose a larger destination.',
            );
        }
        if ($to?->serial !== null && $erased?->isNamed($to->serial) === true) {
            $blockers[] = self::blocker(
                'destination-is-target',
                "{$to->name} is the drive that is erased.",
                'Copy to another physical drive.',
            );
        }
        $largest = self::size($wish->largestBytes, 'backup.largest_bytes');
        if ($to?->fileSystem === 'fat32' && $largest !== null && $largest->count > Fat32Geometry::MAX_FILE) {
            $blockers[] = self::blocker(
                'destination-file-limit',
                "{$to->name} is FAT32, which holds no file over 4 294 967 295 bytes; the largest has "
                    ."{$largest->exact()}.",
                'Choose a destination with another file system, or pack it in parts.',
            );
        }

        return $blockers;
    }

    /**
     * Why nothing is copied to it: it is about to fail itself (rule U6).
     *
     * @param  list<DriveHealth>  $drives  every drive whose health was read
     * @return list<Blocker>
     */
    public static function failing(BackupBlock $wish, array $drives): array
    {
        $to = $wish->destination;
        foreach ($drives as $drive) {
            if ($to?->serial !== null && strcasecmp($drive->serial, $to->serial) === 0
                && $drive->grade === HealthGrade::Replace) {
                return [self::blocker(
                    'destination-failing',
                    "{$to->name} is failing itself: {$drive->facts[0]}",
                    'Copy to another physical drive.',
                )];
            }
        }

        return [];
    }

    /**
     * What has to be minded at this destination.
     *
     * @return list<string>
     */
    public static function cautions(BackupBlock $wish): array
    {
        $fileSystem = $wish->destination?->fileSystem;
        $said = $wish->destination?->wasSaid;
        $contradicted =
            $said === null
                ? []
                : [
                    "{$wish->destination->name} was said to be {$said}, the reading "
                        ."shows {$fileSystem}: the reading counts.",
                ];
        $cautions = in_array($fileSystem, self::STRICT, true)
            ? [
                "Names with any of {$fileSystem}'s forbidden characters (".
                self::NAMES.
                ') do not arrive: list them before, and pack those folders.',
            ]
            : [];
        if ($fileSystem === 'fat32' && $wish->largestBytes === null) {
            $cautions[] = 'FAT32 holds no file over 4 294 967 295 bytes: look for the largest one first.';
        }

        return [...$contradicted, ...$cautions];
    }

    /**
     * What is taken for granted of the copy while nobody has said it.
     *
     * @param  Bytes|null  $need  bytes to copy with the margin
     * @return list<Assumption>
     */
    public static function assumed(BackupBlock $wish, ?Bytes $need, ?Drive $erased): array
    {
        $to = $wish->destination;
        $name = $to->name ?? 'what it is copied to';
        $door = Door::choice('backup.destination', 'Say it at Intake.');

        return array_values(array_filter([
            $need === null ? new Assumption(
                'backup.bytes',
                "The copy fits on {$name}: nobody has measured what is copied.",
                'A6, U2',
                Door::choice('backup.bytes', 'Measure the folders, and say how much it is.'),
            ) : null,
            $need !== null && $to?->freeBytes === null ? new Assumption(
                'backup.destination',
                "{$name} has {$need->decimal()} free: nobody has looked.",
                'A6, U2',
                $door,
            ) : null,
            $to?->serial === null && $erased !== null ? new Assumption(
                'backup.serial',
                "{$name} is another drive than {$erased->title()}: its serial was not noted.",
                'A6, U6',
                Door::choice('backup.serial', 'Note its serial.'),
            ) : null,
            $to?->fileSystem === null || $wish->largestBytes === null ? new Assumption(
                'backup.file_system',
                "{$name} takes the largest file: nobody has said which file system it has, or how large that file is.",
                'A6, U2',
                $door,
            ) : null,
        ]));
    }

    private static function blocker(string $id, string $reason, string $does): Blocker
    {
        return Blocker::narrow($id, $reason, 'A6', [Act::CopyData], Door::choice('backup.destination', $does));
    }

    private static function size(int|string|null $given, string $field): ?Bytes
    {
        try {
            return $given === null ? null : Bytes::parse($given);
        } catch (InvalidQuantity $e) {
            throw BriefFault::at($field, $e->getMessage());
        }
    }
}
