<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Backup;

use Cobblestone\Brief\BriefFault;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Storage\Fat32Geometry;

/** Whether a backup fits where it is copied to: room with its margin, another drive, file size and names (rule A6). */
final class Destination
{
    /** The words tools print for what a brief calls otherwise. */
    private const READ_AS = ['vfat' => 'fat32', 'msdos' => 'fat16'];

    /** Largest single file, and characters that names may not hold, by file system (the same set for FAT, exFAT and NTFS). */
    private const NAMES = '"*:<>?|\\';

    private const STRICT = ['fat32', 'exfat', 'ntfs'];

    /**
     * The wish with the destination's file system as it was read, where that drive is among the machine's and was read
     * in detail; `was_said` then keeps what somebody had said instead.
     *
     * @param  array<string, mixed>  $wish  the brief's backup block
     * @param  list<Drive>  $drives  of the machine
     * @return array<string, mixed>
     */
    public static function asRead(array $wish, array $drives): array
    {
        $said = $wish['destination']['file_system'] ?? null;
        $read = self::fileSystemRead((string) ($wish['destination']['serial'] ?? ''), $drives);
        if ($read === null || $read === $said) {
            return $wish;
        }
        $wish['destination'] = [...$wish['destination'], 'file_system' => $read, 'was_said' => $said];

        return $wish;
    }

    /** @param  list<Drive>  $drives */
    private static function fileSystemRead(string $serial, array $drives): ?string
    {
        foreach ($serial === '' ? [] : $drives as $drive) {
            if ($drive->isNamed($serial)) {
                $volumes = $drive->partitions;
                usort($volumes, static fn (Partition $a, Partition $b): int => $b->size->count <=> $a->size->count);
                $read = $volumes[0]->fileSystem ?? $drive->wholeFileSystem;

                return $read === null ? null : (self::READ_AS[strtolower($read)] ?? strtolower($read));
            }
        }

        return null;
    }

    /**
     * @param  array<string, mixed>  $wish  the brief's backup block
     * @param  Bytes|null  $need  bytes to copy with the margin
     * @return list<Blocker> one for each thing that cannot work; they shut the copy
     *
     * @throws BriefFault
     */
    public static function blockers(array $wish, ?Bytes $need, ?Drive $erased): array
    {
        $to = $wish['destination'] ?? [];
        $blockers = [];
        $free = self::size($to['free_bytes'] ?? null, 'backup.destination.free_bytes');
        if ($free !== null && $need !== null && $need->isMoreThan($free)) {
            $blockers[] = self::blocker('destination-room', "The backup needs {$need->decimal()} with its margin, {$to['name']} has {$free->decimal()} free: short by {$need->minus($free)->decimal()}. Choose a larger destination.");
        }
        if (isset($to['serial'], $erased->serial) && $to['serial'] === $erased->serial) {
            $blockers[] = self::blocker('destination-is-target', "{$to['name']} is the drive that is erased. Copy to another physical drive.");
        }
        $largest = self::size($wish['largest_bytes'] ?? null, 'backup.largest_bytes');
        if (($to['file_system'] ?? null) === 'fat32' && $largest !== null && $largest->count > Fat32Geometry::MAX_FILE) {
            $blockers[] = self::blocker('destination-file-limit', "{$to['name']} is FAT32, which holds no file over 4 294 967 295 bytes; the largest has {$largest->exact()}. Choose a destination with another file system, or pack it in parts.");
        }

        return $blockers;
    }

    /**
     * What has to be minded at this destination.
     *
     * @param  array<string, mixed>  $wish
     * @return list<string>
     */
    public static function cautions(array $wish): array
    {
        $fileSystem = $wish['destination']['file_system'] ?? null;
        $said = $wish['destination']['was_said'] ?? null;
        $contradicted = $said === null ? [] : ["{$wish['destination']['name']} was said to be {$said}, the reading shows {$fileSystem}: the reading counts."];
        $cautions = in_array($fileSystem, self::STRICT, true) ? ["Names with any of {$fileSystem}'s forbidden characters (".self::NAMES.') do not arrive: list them before, and pack those folders.'] : [];
        if ($fileSystem === 'fat32' && ! isset($wish['largest_bytes'])) {
            $cautions[] = 'FAT32 holds no file over 4 294 967 295 bytes: look for the largest one first.';
        }

        return [...$contradicted, ...$cautions];
    }

    private static function blocker(string $id, string $reason): Blocker
    {
        return Blocker::narrow($id, $reason, 'A6', [Act::CopyData]);
    }

    private static function size(mixed $given, string $field): ?Bytes
    {
        try {
            return $given === null ? null : Bytes::parse($given);
        } catch (InvalidQuantity $e) {
            throw BriefFault::at($field, $e->getMessage());
        }
    }
}
