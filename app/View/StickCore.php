<?php

namespace App\View;

use App\Devices\Inspection\FileSource;
use App\Drawing\CoreDrawing;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\PlannedPartition;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\TableReader;
use Cobblestone\Storage\Reading\TableReading;

/**
 * A stick as one core: what is on record, and what is really on it; or, while it is built, what was and what will be.
 *
 * @phpstan-import-type Part from CoreDrawing
 */
final class StickCore
{
    /**
     * What the stick's own table says right now.
     *
     * @return list<Part>
     */
    public static function read(string $path): array
    {
        if (! is_file($path)) {
            return [];
        }
        $source = new FileSource($path);
        $table = TableReader::read($source);
        $parts = [];
        foreach ($table->volumes() as $partition) {
            $volume = FatVolume::open($table->open($partition, $source));
            $name = trim(($volume?->label() ?? $partition->name).'') ?: $partition->typeTitle();
            if ($partition->sectors > 0 && $partition->first * $table->sector < $source->size()) {
                $parts[] = [
                    'name' => $name,
                    'from' => $partition->first * $table->sector,
                    'bytes' => min(
                        $partition->sectors * $table->sector,
                        $source->size() - $partition->first * $table->sector,
                    ),
                    'lost' => false,
                    'role' => $volume === null ? 'data' : 'system',
                    'first_sector' => $partition->first,
                    'sectors' => $partition->sectors,
                    'file_system' => $volume->kind ?? '',
                    'type' => $partition->typeTitle(),
                ];
            }
        }
        usort($parts, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);

        return $parts;
    }

    /** gpt, mbr or none, as the stick's own table says. */
    public static function scheme(string $path): string
    {
        return is_file($path) ? TableReader::read(new FileSource($path))->scheme : 'none';
    }

    /** @return list<Part> what a build lays out */
    public static function planned(Layout $layout): array
    {
        return array_map(static fn (PlannedPartition $one): array => [
            'name' => $one->name,
            'from' => $one->extent->first * $layout->sector->value,
            'bytes' => $layout->sector->bytes($one->extent->count)->count,
            'role' => $one->role === 'data' ? 'data' : 'system',
            'lost' => false,
            'first_sector' => $one->extent->first,
            'sectors' => $one->extent->count,
            'type' => $one->type->value,
            'file_system' => $one->fileSystem,
        ], $layout->partitions);
    }

    /**
     * What a stick written raw will hold: the partitions that were found in the image, else the image as one.
     *
     * @return list<Part>
     */
    public static function raw(StickPlan $plan, ?TableReading $table): array
    {
        $parts = $table === null ? [] : ImageCore::parts($table->volumes(), $table->sector);
        $bytes = max(1, $plan->image->expanded ?? $plan->image->bytes);

        return $parts !== [] ? $parts : [[
            'name' => $plan->image->file,
            'from' => 0,
            'bytes' => $bytes,
            'role' => 'system',
            'lost' => false,
            'first_sector' => 0,
            'sectors' => intdiv($bytes, $plan->sector),
            'file_system' => '',
            'type' => '',
        ]];
    }

    /**
     * @param  array{title: string, note: string}  $words
     * @param  array{bytes: int, sector: int, scheme: string}  $device
     * @param  list<Part>|null  $left
     * @param  list<Part>  $right
     * @param  array{0: string, 1: string}  $sides
     * @param  int|null  $filled  bytes from the start that are done, while it is built
     */
    public static function of(
        array $words,
        array $device,
        ?array $left,
        array $right,
        array $sides,
        ?int $filled = null,
    ): CoreFigure {
        $bytes = $device['bytes'];
        $end = max([0, ...array_map(static fn (array $part): int => $part['from'] + $part['bytes'], $right)]);
        $drawn =
            $bytes - $end > $bytes / 200
                ? [
                    ...$right,
                    [
                        'name' => $right === [] ? 'nothing known' : 'unused',
                        'from' => $end,
                        'bytes' => $bytes - $end,
                        'role' => 'free',
                    ],
                ]
                : $right;

        return new CoreFigure(
            $words['title'],
            $words['note'],
            $bytes,
            $device['sector'],
            $device['scheme'],
            $left,
            $right,
            $drawn,
            $sides,
            $filled,
        );
    }
}
