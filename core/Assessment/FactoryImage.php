<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Door;
use Cobblestone\Storage\PartitionType;

/**
 * Whether the maker's image can be where somebody says it is: the reading of the drive against the answer (rule A3
 * rung 9).
 */
final class FactoryImage
{
    /** What a packed system of today takes at the least; what is smaller holds a repair environment and no image. */
    private const LEAST = 3_000_000_000;

    /** Null where nothing contradicts it: not said to be on the drive, or the drive's contents were not read. */
    public static function contradiction(Machine $machine, ?Drive $drive): ?Blocker
    {
        if (! $machine->fact('factory.image')->is('yes') || $drive === null || $drive->partitions === []) {
            return null;
        }
        $largest = self::largest($drive);
        $held = $largest === null ? null : self::holds($largest);

        if ($held !== null && $held->count >= self::LEAST) {
            return null;
        }
        $seen =
            $held === null
                ? 'The reading shows no volume beside the system\'s own'
                : "The largest volume beside the system's own, {$largest->title()}, holds {$held->decimal()}";

        return Blocker::narrow(
            'factory-not-read',
            "{$seen}: no factory image fits there, though it is said to answer from the drive.",
            'A3',
            [Act::Erase],
            Door::fact(
                'factory.image',
                'Start its recovery once and see whether it offers the state of the first day, or say that it comes '
                    .'from the maker\'s medium.',
                'media',
            ),
            ['factory.image = yes', "partitions of {$drive->title()} as read"],
        )->waivableBy('technician', 'lead');
    }

    /**
     * The largest volume that is neither the system's own, which is the largest of all, nor one that only starts it.
     */
    private static function largest(Drive $drive): ?Partition
    {
        $volumes = $drive->partitions;
        usort($volumes, static fn (Partition $a, Partition $b): int => $b->size->count <=> $a->size->count);
        $rest = array_filter(
            array_slice($volumes, 1),
            static fn (Partition $volume): bool => ! in_array(
                PartitionType::fromGuid((string) $volume->type),
                [PartitionType::EfiSystem, PartitionType::Reserved],
                true,
            ),
        );
        usort($rest, static fn (Partition $a, Partition $b): int => self::holds($b)->count <=> self::holds($a)->count);

        return $rest[0] ?? null;
    }

    /** What is used of it, or its whole size where the reading does not say. */
    private static function holds(Partition $volume): Bytes
    {
        return $volume->used ?? $volume->size;
    }
}
