<?php

namespace App\View;

use App\Drawing\CoreDrawing;
use Cobblestone\Media\Inspection\ImageReport;

/**
 * An inspected image as one core: what its partition table says on the left, what a disc drive would start on the
 * right.
 */
final class ImageCore
{
    /** @return array<string, mixed>|null null where there is nothing to draw */
    public static function of(ImageReport $report): ?array
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
        $layout = [
            'scheme' => $table['scheme'] ?? 'no table',
            'sector_bytes' => $sector,
            'device_sectors' => intdiv($bytes, $sector),
        ];

        return [
            'title' => 'Inside the image',
            'note' => 'Left what its partition table lists, right what its boot catalogue starts from a disc.',
            'bytes' => $bytes,
            'sides' => ['table', 'disc'],
            'drawing' => CoreDrawing::of(
                $bytes,
                $left === []
                    ? [['name' => 'no partitions', 'from' => 0, 'bytes' => $bytes, 'lost' => false, 'role' => 'free']]
                    : $left,
                $right === []
                    ? [['name' => 'no start images', 'from' => 0, 'bytes' => $bytes, 'role' => 'free']]
                    : $right,
            ),
            'now' => $left,
            'after' => $right,
            'layout' => $layout,
        ];
    }
}
