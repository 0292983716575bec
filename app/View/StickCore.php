<?php

namespace App\View;

use App\Devices\Inspection\FileSource;
use App\Drawing\CoreDrawing;
use App\Drawing\StoredPart;
use Cobblestone\Document\Fields;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\TableReader;

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

    /**
     * @param  array<string, mixed>  $layout  as a plan or record holds it
     * @return list<Part>
     */
    public static function planned(array $layout): array
    {
        $fields = Fields::of($layout);

        return $fields->each(
            'partitions',
            static fn (Fields $part): array => StoredPart::of(
                $part->all(),
                $fields->int('sector_bytes'),
                $part->optionalString('role') === 'data' ? 'data' : 'system',
            ),
        );
    }

    /**
     * What a stick written raw will hold: the partitions that were found in the image, else the image as one.
     *
     * @param  array<string, mixed>  $plan
     * @param  array<string, mixed>|null  $table  of the image's report
     * @return list<Part>
     */
    public static function raw(array $plan, ?array $table): array
    {
        $parts = [];
        foreach ($table['partitions'] ?? [] as $part) {
            if ($part['sectors'] > 0 && ! in_array($part['type'], ['0xEE', '0x05', '0x0F'], true)) {
                $parts[] = [
                    'name' => $part['name'] ?: $part['type_title'],
                    'from' => $part['first_sector'] * $table['sector_bytes'],
                    'bytes' => $part['sectors'] * $table['sector_bytes'],
                    'role' => $part['type_title'] === 'EFI system' ? 'efi' : 'system',
                    'lost' => false,
                    'first_sector' => $part['first_sector'],
                    'sectors' => $part['sectors'],
                    'file_system' => '',
                    'type' => $part['type_title'],
                ];
            }
        }
        usort($parts, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);
        $bytes = max(1, $plan['image']['expanded_bytes'] ?? $plan['image']['bytes']);

        return $parts !== []
            ? $parts
            : [
                [
                    'name' => $plan['image']['file'],
                    'from' => 0,
                    'bytes' => $bytes,
                    'role' => 'system',
                    'lost' => false,
                    'first_sector' => 0,
                    'sectors' => intdiv($bytes, $plan['sector_bytes']),
                    'file_system' => '',
                    'type' => '',
                ],
            ];
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
