<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

use Cobblestone\Storage\Fat32Geometry;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\TableReader;
use Cobblestone\Storage\Reading\TableReading;

/** What was built, read back from the stick and held against the plan: planned ≠ built is a failure (rule M6). */
final class GeometryCheck
{
    /** @return list<string> every difference, as a sentence */
    public static function differences(StickPlan $plan, ByteSource $stick): array
    {
        $layout = $plan->layout;
        if ($layout === null) {
            return [];
        }
        $table = TableReader::read($stick, known: $plan->sector);
        $faults = self::tableFaults($table, $layout);
        foreach ($layout->partitions as $index => $planned) {
            $built = $table->partitions[$index] ?? null;
            if ($built === null) {
                continue;
            }
            if ([$built->first, $built->sectors] !== [$planned->extent->first, $planned->extent->count]) {
                $faults[] = "Partition {$planned->number} covers {$built->sectors} sectors "
                    ."from {$built->first}, planned are {$planned->extent->count} from {$planned->extent->first}.";
            }
            $type =
                $layout->scheme->value === 'gpt'
                    ? $planned->type->guid()
                    : sprintf('0x%02X', $planned->type->mbrCode($planned->fat32 !== null));
            if ($built->type !== $type || ($layout->scheme->value === 'mbr' && $built->active !== $planned->active)) {
                $faults[] = "Partition {$planned->number} is of type {$built->type}".($built->active ? ', active' : '')
                    .", planned is {$type}".($planned->active ? ', active' : '').'.';
            }
            if ($planned->fat32 !== null) {
                $volume = FatVolume::open($table->open($built, $stick));
                $first = $planned->extent->first;
                array_push($faults, ...self::volume($planned->fat32, $first, (string) $plan->label, $volume));
            }
        }

        return $faults;
    }

    /**
     * @return list<string>
     */
    private static function tableFaults(TableReading $table, Layout $layout): array
    {
        $faults = $table->faults;
        if ($table->scheme !== $layout->scheme->value) {
            $faults[] = "The table is {$table->scheme}, planned is {$layout->scheme->value}.";
        }
        if (count($table->partitions) !== count($layout->partitions)) {
            $faults[] =
                'There are '.
                count($table->partitions).
                ' partitions, planned are '.
                count($layout->partitions).
                '.';
        }

        return $faults;
    }

    /** @return list<string> */
    private static function volume(Fat32Geometry $planned, int $start, string $label, ?FatVolume $built): array
    {
        if ($built === null || $built->kind !== 'fat32') {
            return ['There is no FAT32 file system where it was planned.'];
        }
        $wanted = [
            'sector' => $planned->sector->value,
            'spc' => $planned->sectorsPerCluster,
            'reserved' => $planned::RESERVED_SECTORS,
            'fats' => $planned::COPIES,
            'fat_sectors' => $planned->fatSectors,
            'sectors' => $planned->sectors,
            'hidden' => $start,
            'clusters' => $planned->clusters,
        ];
        $faults = [];
        foreach ($wanted as $name => $value) {
            if ($built->geometry[$name] !== $value) {
                $faults[] = "The file system's {$name} is {$built->geometry[$name]}, planned is {$value}.";
            }
        }
        if ($built->label() !== $label) {
            $faults[] = "The label is \"{$built->label()}\", planned is \"{$label}\".";
        }

        return $faults;
    }
}
