<?php

namespace App\View;

use Cobblestone\Media\Inspection\ImageReport;

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
        $sector = $table['sector_bytes'] ?? 2048;
        $bytes = max(
            $report->expanded() ?? 0,
            ...array_map(
                static fn (array $part): int => ($part['first_sector'] + $part['sectors']) * $sector,
                $table['partitions'] ?? [['first_sector' => 0, 'sectors' => 0]],
            ),
        );
        $left = [];
        foreach ($table['partitions'] ?? [] as $part) {
            if ($bytes > $part['first_sector'] * $sector && $part['sectors'] > 0) {
                $left[] = [
                    'name' => $part['name'] ?: $part['type_title'],
                    'from' => $part['first_sector'] * $sector,
                    'bytes' => $part['sectors'] * $sector,
                    'lost' => false,
                    'role' => $part['type_title'] === 'EFI system' ? 'efi' : 'system',
                    'first_sector' => $part['first_sector'],
                    'sectors' => $part['sectors'],
                ];
            }
        }
        usort($left, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);

        return self::halves($report, $sector, $bytes, $table, $left);
    }

    /**
     * @param  array<string, mixed>|null  $table
     * @param  list<Part>  $left
     */
    private static function halves(
        ImageReport $report,
        int $sector,
        int $bytes,
        ?array $table,
        array $left,
    ): ?CoreFigure {
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
            $table['scheme'] ?? 'no table',
            $left === [] ? [$free('no partitions')] : $left,
            $right,
            $right === [] ? [$free('no start images')] : $right,
            ['table', 'disc'],
        );
    }
}
