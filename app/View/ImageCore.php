<?php

namespace App\View;

use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Storage\Reading\ReadPartition;

/**
 * An inspected image as one core: what its partition table says on the left, what a disc drive would start on the
 * right.
 *
 * @phpstan-import-type Part from \App\Drawing\CoreDrawing
 */
final class ImageCore
{
    /** Null where there is nothing to draw. */
    public static function of(ImageReport $report): ?CoreFigure
    {
        $table = $report->table;
        if ($table === null && $report->startImages === []) {
            return null;
        }
        $sector = $table->sector ?? 2048;
        $ends = array_map(
            static fn (ReadPartition $part): int => ($part->first + $part->sectors) * $sector,
            $table->partitions ?? [],
        );
        $bytes = max([$report->expanded() ?? 0, ...$ends]);
        $left = array_filter(
            self::parts($table->partitions ?? [], $sector),
            static fn (array $part): bool => $bytes > $part['from'],
        );

        return self::halves($report, $sector, $bytes, array_values($left));
    }

    /**
     * Partitions of a table as bands, in order of place; those that hold nothing left out.
     *
     * @param  list<ReadPartition>  $partitions
     * @return list<Part>
     */
    public static function parts(array $partitions, int $sector): array
    {
        $parts = [];
        foreach ($partitions as $part) {
            if ($part->sectors > 0) {
                $parts[] = [
                    'name' => $part->name ?: $part->typeTitle(),
                    'from' => $part->first * $sector,
                    'bytes' => $part->sectors * $sector,
                    'lost' => false,
                    'role' => $part->isEfiSystem() ? 'efi' : 'system',
                    'first_sector' => $part->first,
                    'sectors' => $part->sectors,
                    'file_system' => '',
                    'type' => $part->typeTitle(),
                ];
            }
        }
        usort($parts, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);

        return $parts;
    }

    /** @param  list<Part>  $left */
    private static function halves(ImageReport $report, int $sector, int $bytes, array $left): ?CoreFigure
    {
        $right = [];
        foreach ($report->startImages as $image) {
            if ($image['bytes'] > 0) {
                $right[] = [
                    'name' => "{$image['platform']} start image",
                    'from' => $image['at'],
                    'bytes' => $image['bytes'],
                    'role' => $image['platform'] === 'UEFI' ? 'efi' : 'recovery',
                    'first_sector' => intdiv($image['at'], $sector),
                    'sectors' => intdiv($image['bytes'], $sector),
                    'type' => '',
                    'file_system' => '',
                ];
            }
        }
        if ($bytes === 0) {
            return null;
        }
        $free = static fn (string $name): array => ['name' => $name, 'from' => 0, 'bytes' => $bytes, 'role' => 'free'];

        return new CoreFigure(
            'Inside the image',
            'Left what its partition table lists, right what its boot catalogue starts from a disc.',
            $bytes,
            $sector,
            $report->table->scheme ?? 'no table',
            $left === [] ? [$free('no partitions')] : $left,
            $right,
            $right === [] ? [$free('no start images')] : $right,
            ['table', 'disc'],
        );
    }
}
