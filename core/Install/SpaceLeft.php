<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Decision;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\PlannedPartition;

/** What is left of a drive once the system is on it, in GiB as it will show it (rule I9). */
final class SpaceLeft
{
    /** @return Decision|null null where nobody has said how much the system takes */
    public static function of(SystemProfile $system, Layout $layout, Bytes $swap): ?Decision
    {
        if ($system->installedBytes === null) {
            return null;
        }
        $largest = null;
        $fixed = Bytes::of(0);
        foreach ($layout->partitions as $partition) {
            if ($largest === null || self::bytes($partition, $layout)->isMoreThan(self::bytes($largest, $layout))) {
                $largest = $partition;
            }
        }
        if ($largest === null) {
            return null;
        }
        foreach ($layout->partitions as $partition) {
            $fixed = $partition === $largest ? $fixed : $fixed->plus(self::bytes($partition, $layout));
        }
        $room = self::bytes($largest, $layout);
        // Systems with two copies of themselves keep them in partitions of their own; the largest is then all room.
        $takes = $largest->role === 'system' ? Bytes::of($system->installedBytes)->plus($swap) : $swap;
        $left = $takes->isMoreThan($room) ? null : $room->minus($takes);

        return new Decision(
            'install.left',
            'What is left after the install',
            $left === null ? 'nothing: it does not fit' : "about {$left->binary()}",
            [
                "{$layout->device->binary()} in all, {$fixed->binary()} in partitions of fixed size"
                    .($takes->count === 0 ? '.' : ", {$takes->binary()} taken in {$largest->name}."),
            ],
            [],
            [$system->dated()],
            'I9',
        );
    }

    /** The same in the room made between what stays; null where there is none, or nobody knows what it takes. */
    public static function inRoom(SystemProfile $system, ?Bytes $room, Bytes $swap): ?Decision
    {
        if ($system->installedBytes === null || $room === null) {
            return null;
        }
        $takes = Bytes::of($system->installedBytes)->plus($swap);
        $left = $takes->isMoreThan($room) ? null : $room->minus($takes);

        return new Decision(
            'install.left',
            'What is left after the install',
            $left === null ? 'nothing: it does not fit' : "about {$left->binary()}",
            ["{$room->binary()} for the new system, {$takes->binary()} taken."],
            [],
            [$system->dated()],
            'I9',
        );
    }

    private static function bytes(PlannedPartition $partition, Layout $layout): Bytes
    {
        return Bytes::of($partition->extent->count * $layout->sector->value);
    }
}
