<?php

namespace App\View;

use App\Models\ShelfFile;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Inspection\LoaderTrust;
use Cobblestone\Media\Ways\Way;

/** Short words for lists of images; the full sentences stand on the image's own page. */
final class ShelfWords
{
    private const KINDS = [
        'empty' => 'empty',
        'unknown' => 'not known',
        'optical' => 'optical image',
        'optical-hybrid' => 'hybrid optical image',
        'raw' => 'raw disk image',
        'fat' => 'file system',
        'device-restore' => 'device restore, by cable',
        'archive' => 'archive',
    ];

    public static function kind(ImageReport $report): string
    {
        return self::KINDS[$report->kind].($report->compression === null ? '' : ", {$report->compression['kind']}");
    }

    public static function starts(ImageReport $report): string
    {
        $uefi = array_values(array_unique([...$report->architectures('raw'), ...$report->architectures('copied')]));
        $ways = array_filter([
            $uefi === [] ? '' : 'UEFI '.implode(', ', $uefi),
            $report->legacy['raw'] ?? false ? 'BIOS' : '',
        ]);

        return $ways === [] ? '–' : implode(' · ', $ways);
    }

    /**
     * The loaders, one line for a file that is found in several places.
     *
     * @return list<array<string, mixed>>
     */
    public static function loaders(ImageReport $report): array
    {
        $rows = [];
        foreach ($report->loaders as $loader) {
            $key = implode(' ', [$loader['path'], $loader['digest'], $loader['fault'], $loader['trust']]);
            $rows[$key] = isset($rows[$key])
                ? [...$rows[$key], 'place' => "{$rows[$key]['place']}, {$loader['place']}"]
                : $loader;
        }

        return array_values($rows);
    }

    /** The page that says how this stick is made on another computer. */
    public static function elsewhere(
        ShelfFile $file,
        Stick $stick,
        Way $way,
        ?string $drivers,
        int $job = 0,
    ): string {
        return "/shelf/{$file->id}/elsewhere?".http_build_query([
            'stick' => $stick->id,
            'way' => $way->key,
            'drivers' => $drivers,
            'job' => $job ?: null,
        ]);
    }

    /** What an optical image's catalogues are, and its partition table. */
    public static function tables(ImageReport $report): string
    {
        $names = ['iso9660' => 'ISO 9660', 'joliet' => 'Joliet', 'rock_ridge' => 'Rock Ridge', 'udf' => 'UDF'];
        $optical = array_intersect_key($names, array_filter($report->optical ?? []));
        $table = $report->table;

        return ($optical === [] ? '' : implode(', ', $optical).'. ').
            ($table === null ? '' : strtoupper($table->scheme)." with sectors of {$table->sector} B".
                ($table->gptCopy === 'backup' ? ', read from its copy at the end.' : '.'));
    }

    /** "1 204 files in 96 folders"; how many were counted. */
    public static function counted(ImageReport $report): string
    {
        $files = $report->files ?? ['count' => 0, 'directories' => 0];

        return number_format($files['count'], 0, '.', ' ').' files in '.
            number_format($files['directories'], 0, '.', ' ').' folders';
    }

    /** "Signed, and trusted." */
    public static function trust(string $trust): string
    {
        return ucfirst(LoaderTrust::from($trust)->title()).'.';
    }

    public static function trustClass(string $trust): string
    {
        return match (LoaderTrust::from($trust)->isRefused()) {
            false => 'holds',
            true => 'bad',
            null => '',
        };
    }

    /** "12 s left", "3 min left". */
    public static function left(int $seconds): string
    {
        return $seconds < 90 ? "{$seconds} s left" : intdiv($seconds + 30, 60).' min left';
    }

    /** "0:42" or "12:07". */
    public static function clock(float $seconds): string
    {
        return $seconds < 10
            ? rtrim(rtrim(number_format($seconds, 1), '0'), '.').' s'
            : sprintf('%d:%02d', intdiv((int) round($seconds), 60), (int) round($seconds) % 60);
    }
}
