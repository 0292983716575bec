<?php

namespace App\View;

use App\Drawing\CoreDrawing;
use Cobblestone\Document\Fields;

/**
 * A plan's layouts as what the core drawings and their tables take.
 *
 * @phpstan-import-type Part from CoreDrawing
 */
final class CoreSample
{
    /**
     * @param  array<string, mixed>  $layouts  of a plan
     * @return list<CoreFigure>
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
     */
    private static function target(array $target): CoreFigure
    {
        $unread = [
            [
                'name' => 'contents not read',
                'from' => 0,
                'bytes' => $target['bytes'],
                'lost' => false,
                'role' => 'old',
                'first_sector' => null,
                'sectors' => null,
            ],
        ];
        $sector = Fields::of($target)->int('sector_bytes');
        $now =
            $target['now'] === null
                ? ($target['assumed']
                    ? null
                    : $unread)
                : Fields::of($target)->each(
                    'now',
                    static fn (Fields $part): array => CoreDrawing::part($part->all(), $sector, 'old', true),
                );

        return self::core(
            'Target drive'.($target['model'] === null ? '' : " · {$target['model']}"),
            self::note($target),
            $target['bytes'],
            $now,
            $target['after'],
        );
    }

    /** @param  array<string, mixed>  $target */
    private static function note(array $target): string
    {
        $notes = array_filter([
            $target['assumed'] ? 'Its size is assumed from the catalogue until the drive is read.' : null,
            ! $target['assumed'] && ! ($target['read'] ?? true) ? 'What is on it was not read.' : null,
            $target['sector_assumed'] ?? false
                ? 'Sectors of 512 bytes are assumed: nobody has read their size.'
                : null,
            ! $target['assumed'] && ! ($target['proven'] ?? true) ? 'It reports no serial of its own.' : null,
        ]);

        return implode(' ', $notes);
    }

    /**
     * @param  array<string, mixed>  $stick
     */
    private static function stick(array $stick): CoreFigure
    {
        $now = [
            [
                'name' => $stick['contents'] ?? 'whatever is on it',
                'from' => 0,
                'bytes' => $stick['bytes'],
                'lost' => $stick['contents'] !== 'blank',
                'role' => $stick['contents'] === 'blank' ? 'free' : 'old',
                'first_sector' => null,
                'sectors' => null,
            ],
        ];

        return self::core(
            "Stick · {$stick['name']}",
            isset($stick['after']['label'])
                ? "Label {$stick['after']['label']}."
                : 'Written raw, with the table of the image.',
            $stick['bytes'],
            $now,
            $stick['after'],
        );
    }

    /**
     * @param  list<Part>|null  $now
     * @param  array<string, mixed>  $layout
     */
    private static function core(
        string $title,
        string $note,
        int $bytes,
        ?array $now,
        array $layout,
    ): CoreFigure {
        $sector = Fields::of($layout)->int('sector_bytes');
        $after = Fields::of($layout)->each('partitions', static function (Fields $part) use ($sector): array {
            $role = $part->optionalString('role') ?? '';

            return CoreDrawing::part($part->all(), $sector, isset(CoreDrawing::ROLES[$role]) ? $role : 'data');
        });
        $end = max([0, ...array_map(static fn (array $part): int => $part['from'] + $part['bytes'], $after)]);
        $drawn =
            $bytes - $end > $bytes / 200
                ? [...$after, ['name' => 'unused', 'from' => $end, 'bytes' => $bytes - $end, 'role' => 'free']]
                : $after;

        return new CoreFigure(
            $title,
            $note,
            $bytes,
            $sector,
            Fields::of($layout)->string('scheme'),
            $now,
            $after,
            $drawn,
        );
    }
}
