<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\PlannedPartition;
use Cobblestone\Storage\SfdiskScript;

/** The commands that make a stick: the builder and the exported script run the same ones (rules M6, M13). */
final class BuildSteps
{
    /** Both ends are zeroed over this length, so that no old table or file system is found again. */
    public const WIPE = 1_048_576;

    public static function sfdiskScript(StickPlan $plan): string
    {
        return $plan->layout === null ? '' : SfdiskScript::of($plan->layout);
    }

    /** @return list<string> */
    public static function sfdisk(string $device): array
    {
        return ['sfdisk', '--quiet', '--no-reread', '--no-tell-kernel', '--wipe=always', $device];
    }

    /**
     * Every value of the geometry is given, none left to the tool. $file has exactly the partition's size.
     *
     * @return list<string>
     */
    public static function vfat(PlannedPartition $partition, StickPlan $plan, string $file): array
    {
        $fat =
            $partition->fat32 ??
            throw PlanFault::notPossible("Partition {$partition->number} is no FAT32 partition.");

        return [
            'mkfs.vfat',
            '-F',
            '32',
            '-S',
            (string) $fat->sector->value,
            '-s',
            (string) $fat->sectorsPerCluster,
            '-R',
            (string) $fat::RESERVED_SECTORS,
            '-f',
            (string) $fat::COPIES,
            '-a',
            '-h',
            (string) $partition->extent->first,
            '-i',
            self::volumeId($plan),
            '-n',
            (string) $plan->label,
            $file,
        ];
    }

    /** What mkfs.vfat writes: reserved sectors, both tables, the root directory's first cluster. */
    public static function vfatBytes(PlannedPartition $partition): int
    {
        $fat =
            $partition->fat32 ??
            throw PlanFault::notPossible("Partition {$partition->number} is no FAT32 partition.");

        return ($fat::RESERVED_SECTORS + $fat::COPIES * $fat->fatSectors + $fat->sectorsPerCluster) *
            $fat->sector->value;
    }

    /** @return list<string> */
    public static function exfat(PlannedPartition $partition, string $file): array
    {
        return ['mkfs.exfat', '-L', mb_substr($partition->name, 0, 11), $file];
    }

    /**
     * What mkfs.exfat writes: all up to the end of the root directory's first cluster (exFAT specification, section
     * 3.1).
     */
    public static function exfatBytes(string $boot): int
    {
        if (strlen($boot) < 512) {
            throw PlanFault::notPossible('There is no exFAT file system.');
        }
        /** @var array{heap: int, count: int, root: int} $at */
        $at = unpack('Vheap/Vcount/Vroot', $boot, 88);
        $sector = 1 << ord($boot[108]);

        return $at['heap'] * $sector + ($at['root'] - 1) * ($sector << ord($boot[109]));
    }

    /** A volume number that is always the same for the same plan: 32 bits, hexadecimal. */
    public static function volumeId(StickPlan $plan): string
    {
        return strtoupper(substr(sha1("volume {$plan->title} {$plan->serial} {$plan->device}"), 0, 8));
    }

    /** Where mtools finds a partition. */
    public static function drive(PlannedPartition $partition, StickPlan $plan, string $device): string
    {
        return $device.'@@'.$partition->extent->first * $plan->sector;
    }

    /**
     * Folders the files need, parents first.
     *
     * @return list<string>
     */
    public static function folders(StickPlan $plan): array
    {
        $folders = [];
        foreach ($plan->files as $file) {
            $parts = explode('/', $file->path);
            array_pop($parts);
            $path = '';
            foreach ($parts as $part) {
                $path = $path === '' ? $part : "{$path}/{$part}";
                $folders[mb_strtoupper($path)] ??= $path;
            }
        }

        return array_values($folders);
    }

    /** The partition the files go to. */
    public static function target(StickPlan $plan): PlannedPartition
    {
        return $plan->layout->partitions[0] ?? throw PlanFault::at('layout', 'there is no partition for the files.');
    }

    /** Bytes of scratch space beside the stick: small files are unpacked together, large ones stream (rule M14). */
    public static function scratch(StickPlan $plan, int $streamFrom): int
    {
        return $plan->mode === WriteMode::Raw
            ? 0
            : array_sum(
                array_map(
                    static fn (PlannedFile $file): int => $file->of < $streamFrom && $file->from === 'image'
                        ? $file->bytes
                        : 0,
                    $plan->files,
                ),
            );
    }
}
