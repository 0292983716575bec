<?php

namespace App\Bridge;

use App\Devices\Inspection\SevenZipTree;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickPlanner;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Inspection\ListingFailed;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\LayoutImpossible;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** Images and folders of this computer to core values, and a stick plan back. */
final class StickBridge
{
    private const MOST_FILES = 200_000;

    /** @throws PlanFault|LayoutImpossible */
    public static function plan(
        string $path,
        ImageReport $report,
        ?string $sha256,
        StickTarget $target,
        StickWish $wish,
        ?string $drivers = null,
    ): StickPlan {
        return StickPlanner::plan(
            $report,
            $sha256,
            $target,
            $wish,
            $wish->mode === WriteMode::Raw ? [] : self::files($path, $report),
            $drivers === null ? [] : self::folder($drivers),
        );
    }

    /** @return array<string, int> path => bytes */
    public static function files(string $path, ImageReport $report): array
    {
        $files = [];
        $kind = (string) ($report->files['tree'] ?? 'iso');
        try {
            foreach ((new SevenZipTree($path, $kind))->entries() as $entry) {
                if (! $entry['directory'] && ! $entry['link']) {
                    $files[$entry['path']] = $entry['bytes'];
                }
                if (count($files) > self::MOST_FILES) {
                    throw PlanFault::notPossible('The image holds more than '.self::MOST_FILES.' files.');
                }
            }
        } catch (ListingFailed $e) {
            throw PlanFault::notPossible("The files of the image cannot be listed: {$e->getMessage()}.");
        }

        return $files;
    }

    /** @return array<string, int> path below the folder => bytes; links are left out */
    public static function folder(string $folder): array
    {
        $root = is_dir($folder)
            ? (string) realpath($folder)
            : throw PlanFault::notPossible("There is no folder {$folder}.");
        $files = [];
        /** @var \SplFileInfo $file */
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator($root, RecursiveDirectoryIterator::SKIP_DOTS),
            ) as $file
        ) {
            if ($file->isFile() && ! $file->isLink()) {
                $files[substr($file->getPathname(), strlen($root) + 1)] = (int) $file->getSize();
            }
        }
        ksort($files);

        return $files;
    }
}
