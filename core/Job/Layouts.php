<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Catalogue\SystemProfile;
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
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\Scheme;

/** The stick and the target drive, now and after, in bytes and sectors. */
final class Layouts
{
    /**
     * @param  bool  $newDrive  whether another drive than the present one is written to, so that nothing is assumed
     *     of its size
     * @return array{0: array<string, mixed>, 1: list<Decision>, 2: list<Blocker>} layouts, decisions, blockers
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
            return [['stick' => $stick, 'target' => null], [], []];
        }
        [$scheme, $decision] = PartitionPlan::scheme($machine, $system, $bytes);
        if ($target !== null && $aim->keeping !== null) {
            return self::beside($stick, $system, $target, $aim->keeping, $scheme, $swap);
        }
        $sector = $target !== null ? $target->logicalSector : 512;
        $seed = 'target '.($target->serial ?? $machine->title);
        try {
            $after = PartitionPlan::wipe($system, $scheme, $bytes, $sector, $seed);
        } catch (LayoutImpossible $e) {
            return [
                ['stick' => $stick, 'target' => null],
                [$decision],
                [Blocker::narrow('target-layout', $e->getMessage(), 'I2', [Act::Erase, Act::WriteSystem])],
            ];
        }

        $decisions = [$decision, $swap?->decision, SpaceLeft::of($system, $after, $swap->size ?? Bytes::of(0))];

        return [
            ['stick' => $stick, 'target' => self::drawn($bytes, $sector, $target, $after->toArray())],
            array_values(array_filter($decisions)),
            [],
        ];
    }

    /**
     * The drive where something on it stays: its table is as it was.
     *
     * @param  array<string, mixed>|null  $stick
     * @return array{0: array<string, mixed>, 1: list<Decision>, 2: list<Blocker>}
     */
    private static function beside(
        ?array $stick,
        SystemProfile $system,
        Drive $target,
        Keeping $keeping,
        Scheme $scheme,
        ?SwapPlan $swap,
    ): array {
        $after = $keeping->layout($scheme, $target);
        $drawn = self::drawn($target->size, $target->logicalSector, $target, $after);
        $drawn['now'] = self::now($target, $keeping->kept);
        $left = SpaceLeft::inRoom($system, $keeping->room(), $swap->size ?? Bytes::of(0));

        return [['stick' => $stick, 'target' => $drawn], array_values(array_filter([$swap?->decision, $left])), []];
    }

    /**
     * @param  array<string, mixed>  $after
     * @return array<string, mixed>
     */
    private static function drawn(Bytes $bytes, int $sector, ?Drive $target, array $after): array
    {
        return [
            'bytes' => $bytes->count,
            'sector_bytes' => $sector,
            'assumed' => $target === null,
            'proven' => $target?->hasProof() === true,
            'read' => $target?->detailed === true,
            'sector_assumed' => $target?->sectorRead !== true,
            'model' => $target?->model,
            'now' => $target === null || ! $target->detailed ? null : self::now($target),
            'after' => $after,
        ];
    }

    /** @return array<string, mixed>|null */
    public static function stick(MediaPlan $media): ?array
    {
        return $media->stick === null
            ? null
            : [
                'name' => $media->stick->name,
                'bytes' => $media->stick->size()->count,
                'contents' => $media->stick->contents,
                'after' => $media->layout,
            ];
    }

    /**
     * @param  list<Partition>  $kept
     * @return list<array<string, mixed>>
     */
    private static function now(Drive $drive, array $kept = []): array
    {
        return array_map(
            static fn (Partition $partition): array => [
                'name' => $partition->title(),
                'first_sector' => $partition->startSector,
                'sectors' => intdiv($partition->size->count, $drive->logicalSector),
                'bytes' => $partition->size->count,
                'file_system' => $partition->fileSystem,
                'encrypted' => $partition->encrypted,
                ...in_array($partition, $kept, true) ? ['stays' => true] : [],
            ],
            $drive->partitions,
        );
    }
}
