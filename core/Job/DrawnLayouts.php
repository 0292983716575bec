<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Findings\Layouts;
use Cobblestone\Findings\StickFound;
use Cobblestone\Findings\TargetFound;
use Cobblestone\Install\Keeping;
use Cobblestone\Install\PartitionPlan;
use Cobblestone\Install\SpaceLeft;
use Cobblestone\Install\SwapPlan;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Media\MediaPlan;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Storage\DeviceLayout;
use Cobblestone\Storage\DevicePart;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\Scheme;

/** The stick and the target drive, now and after, in bytes and sectors. */
final class DrawnLayouts
{
    /**
     * @param  bool  $newDrive  whether another drive than the present one is written to, so that nothing is assumed
     *     of its size
     * @return array{0: Layouts, 1: list<Decision>, 2: list<Blocker>} layouts, decisions, blockers
     */
    public static function of(
        Machine $machine,
        SystemProfile $system,
        TargetDrive $aim,
        MediaPlan $media,
        bool $newDrive = false,
        ?SwapPlan $swap = null,
    ): array {
        [$stick, $target] = [self::stick($media), $aim->drive];
        $assumed = $machine->fact('drive_bytes')->value;
        $bytes = $target !== null ? $target->size : (is_int($assumed) && ! $newDrive ? Bytes::of($assumed) : null);
        if ($bytes === null) {
            return [new Layouts($stick), [], []];
        }
        $sector = $target !== null ? $target->logicalSector : 512;
        [$scheme, $decision] = PartitionPlan::scheme($machine, $system, $bytes, $sector);
        if ($target !== null && $aim->keeping !== null) {
            return self::beside($stick, $system, $target, $aim->keeping, $scheme, $swap);
        }
        $seed = 'target '.($target->serial ?? $machine->title);
        try {
            $after = PartitionPlan::wipe($system, $scheme, $bytes, $sector, $seed);
        } catch (LayoutImpossible $e) {
            return [
                new Layouts($stick),
                [$decision],
                [Blocker::narrow('target-layout', $e->getMessage(), 'I2', [Act::Erase, Act::WriteSystem], Door::choice(
                    'image',
                    'Choose a system that fits on this drive, or another drive.',
                ))],
            ];
        }

        $decisions = [$decision, $swap?->decision, SpaceLeft::of($system, $after, $swap->size ?? Bytes::of(0))];

        return [
            new Layouts($stick, self::drawn($bytes, $sector, $target, DeviceLayout::of($after))),
            array_values(array_filter($decisions)),
            [],
        ];
    }

    /**
     * The drive where something on it stays: its table is as it was.
     *
     * @return array{0: Layouts, 1: list<Decision>, 2: list<Blocker>}
     */
    private static function beside(
        ?StickFound $stick,
        SystemProfile $system,
        Drive $target,
        Keeping $keeping,
        Scheme $scheme,
        ?SwapPlan $swap,
    ): array {
        $after = $keeping->layout($scheme, $target);
        $drawn = self::drawn($target->size, $target->logicalSector, $target, $after, $keeping->kept);
        $left = SpaceLeft::inRoom($system, $keeping->room(), $swap->size ?? Bytes::of(0));

        return [new Layouts($stick, $drawn), array_values(array_filter([$swap?->decision, $left])), []];
    }

    /** @param  list<Partition>  $kept */
    private static function drawn(
        Bytes $bytes,
        int $sector,
        ?Drive $target,
        DeviceLayout $after,
        array $kept = [],
    ): TargetFound {
        return new TargetFound(
            $bytes->count,
            $sector,
            $target === null,
            $target?->hasProof() === true,
            $target?->detailed === true,
            $target?->sectorRead !== true,
            $target?->model,
            $target === null || ! $target->detailed ? null : self::now($target, $kept),
            $after,
        );
    }

    public static function stick(MediaPlan $media): ?StickFound
    {
        return $media->stick === null
            ? null
            : new StickFound(
                $media->stick->name,
                $media->stick->size()->count,
                $media->stick->contents,
                $media->layout,
            );
    }

    /**
     * @param  list<Partition>  $kept
     * @return list<DevicePart>
     */
    private static function now(Drive $drive, array $kept): array
    {
        return array_map(
            static fn (Partition $partition): DevicePart => new DevicePart(
                $partition->title(),
                '',
                $partition->startSector,
                intdiv($partition->size->count, $drive->logicalSector),
                $partition->size->count,
                $partition->fileSystem,
                in_array($partition, $kept, true),
                $partition->encrypted,
            ),
            $drive->partitions,
        );
    }
}
