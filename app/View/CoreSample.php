<?php

namespace App\View;

use App\Drawing\CoreDrawing;

/** A plan's layouts as what the core drawings and their tables take. */
final class CoreSample
{
    /**
     * @param  array<string, mixed>  $layouts
     * @return list<array{title: string, note: string, drawing: CoreDrawing, now: list<array<string, mixed>>|null, after: list<array<string, mixed>>, layout: array<string, mixed>}>
     */
    public static function of(array $layouts): array
    {
        $cores = [];
        if (($layouts['target'] ?? null) !== null) {
            $cores[] = self::target($layouts['target']);
        }
        if (($layouts['stick']['after'] ?? null) !== null) {
            $cores[] = self::stick($layouts['stick']);
        }

        return $cores;
    }

    /**
     * @param  array<string, mixed>  $target
     * @return array<string, mixed>
     */
    private static function target(array $target): array
    {
        $unread = [['name' => 'contents not read', 'from' => 0, 'bytes' => $target['bytes'], 'lost' => false, 'role' => 'old', 'first_sector' => null, 'sectors' => null]];
        $now = $target['now'] === null ? ($target['assumed'] ? null : $unread) : array_map(static fn (array $part): array => [
            'name' => $part['name'], 'from' => ($part['first_sector'] ?? 0) * $target['sector_bytes'], 'bytes' => $part['bytes'], 'lost' => true, 'role' => 'old', 'first_sector' => $part['first_sector'], 'sectors' => $part['sectors'],
        ], $target['now']);

        return self::core('Target drive'.($target['model'] === null ? '' : " · {$target['model']}"), self::note($target), $target['bytes'], $now, $target['after']);
    }

    /** @param  array<string, mixed>  $target */
    private static function note(array $target): string
    {
        $notes = array_filter([
            $target['assumed'] ? 'Its size is assumed from the catalogue until the drive is read.' : null,
            ! $target['assumed'] && ! ($target['read'] ?? true) ? 'What is on it was not read.' : null,
            $target['sector_assumed'] ?? false ? 'Sectors of 512 bytes are assumed: nobody has read their size.' : null,
            ! $target['assumed'] && ! ($target['proven'] ?? true) ? 'It reports no serial of its own.' : null,
        ]);

        return implode(' ', $notes);
    }

    /**
     * @param  array<string, mixed>  $stick
     * @return array<string, mixed>
     */
    private static function stick(array $stick): array
    {
        $now = [['name' => $stick['contents'] ?? 'whatever is on it', 'from' => 0, 'bytes' => $stick['bytes'], 'lost' => $stick['contents'] !== 'blank', 'role' => $stick['contents'] === 'blank' ? 'free' : 'old', 'first_sector' => null, 'sectors' => null]];

        return self::core("Stick · {$stick['name']}", isset($stick['after']['label']) ? "Label {$stick['after']['label']}." : 'Written raw, with the table of the image.', $stick['bytes'], $now, $stick['after']);
    }

    /**
     * @param  list<array<string, mixed>>|null  $now
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed>
     */
    private static function core(string $title, string $note, int $bytes, ?array $now, array $layout): array
    {
        $after = array_map(static fn (array $part): array => ['name' => $part['name'], 'from' => $part['first_sector'] * $layout['sector_bytes'], 'bytes' => $part['bytes'], 'role' => isset(CoreDrawing::ROLES[$part['role']]) ? $part['role'] : 'data', 'first_sector' => $part['first_sector'], 'sectors' => $part['sectors'], 'type' => $part['type'], 'file_system' => $part['file_system']], $layout['partitions']);
        $end = max([0, ...array_map(static fn (array $part): int => $part['from'] + $part['bytes'], $after)]);
        $drawn = $bytes - $end > $bytes / 200 ? [...$after, ['name' => 'unused', 'from' => $end, 'bytes' => $bytes - $end, 'role' => 'free']] : $after;

        return ['title' => $title, 'note' => $note, 'bytes' => $bytes, 'drawing' => CoreDrawing::of($bytes, $now, $drawn), 'now' => $now, 'after' => $after, 'layout' => $layout];
    }
}
