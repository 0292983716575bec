<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

use Cobblestone\Media\FatLabel;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Split;
use Cobblestone\Media\StickNeed;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Fat32Geometry;
use Cobblestone\Storage\Fat32Need;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\LayoutBuilder;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\PartitionRequest;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;

/**
 * Makes the exact plan of one stick from an inspected image, its files and the way that was chosen (rules M3–M8,
 * M16).
 */
final class StickPlanner
{
    /** Folder of the drivers on the stick (rule M8: a folder of their own). */
    public const DRIVERS = 'DRIVERS';

    /**
     * @param  array<string, int>  $files  the image's tree: path => bytes; empty when written raw
     * @param  array<string, int>  $drivers  path below the folder of drivers => bytes
     *
     * @throws PlanFault|LayoutImpossible with the figures that rule it out
     */
    public static function plan(
        ImageReport $report,
        ?string $sha256,
        StickTarget $target,
        StickWish $wish,
        array $files = [],
        array $drivers = [],
    ): StickPlan {
        $image = SourceImage::of($report, $sha256);
        if ($wish->mode === WriteMode::Raw) {
            return self::raw($report, $drivers, $wish, $image, $target);
        }
        if (! $report->canBeCopied()) {
            throw PlanFault::notPossible($report->starts('copied').' Write it raw instead.');
        }
        $planned = [
            ...self::fromImage($files, $wish),
            ...AlongFiles::drivers($drivers, $files),
            ...AlongFiles::answers($wish->answers, $files),
        ];
        $plan = self::planned($image, $target, $wish, $wish->label ?? ($report->label ?? $wish->title), $planned);
        $plan->mustHold();

        return $plan;
    }

    /**
     * @param  string  $label  wished for; FAT takes it as it can
     * @param  list<PlannedFile>  $planned
     *
     * @throws LayoutImpossible where they do not fit
     */
    public static function planned(
        SourceImage $image,
        StickTarget $target,
        StickWish $wish,
        string $label,
        array $planned,
    ): StickPlan {
        $label = FatLabel::of($label, $wish->takenLabels);

        return new StickPlan(
            $wish->title,
            $image,
            WriteMode::FilesCopied,
            $target->bytes,
            $target->sector,
            $target->serial,
            $label,
            self::layout($target, $wish, $label, self::onStick($planned)),
            $planned,
            self::splitterFor($planned, $wish),
        );
    }

    /**
     * @param  array<string, int>  $drivers
     */
    private static function raw(
        ImageReport $report,
        array $drivers,
        StickWish $wish,
        SourceImage $image,
        StickTarget $target,
    ): StickPlan {
        if (! $report->canBeRaw()) {
            throw PlanFault::notPossible($report->starts('raw').' Copy its files instead.');
        }
        if ($wish->answers !== null) {
            throw PlanFault::notPossible(
                'A stick written raw carries nothing beside the image: the answers are given by hand.',
            );
        }
        if ($drivers !== []) {
            throw PlanFault::notPossible(
                'A stick written raw carries nothing beside the image: the drivers go onto a second stick.',
            );
        }
        $plan = new StickPlan(
            $wish->title,
            $image,
            WriteMode::Raw,
            $target->bytes,
            $target->sector,
            $target->serial,
            null,
            null,
            [],
        );
        $plan->mustHold();

        return $plan;
    }

    /** What the files take on the FAT32 partition of that layout, in whole clusters. */
    public static function need(StickPlan $plan): Bytes
    {
        return Fat32Need::exact(
            self::onStick($plan->files),
            $plan->layout?->partitions[0]->fat32?->clusterSize() ?? Bytes::of(4096),
        );
    }

    /**
     * @param  list<PlannedFile>  $planned
     * @return array<string, int>
     */
    private static function onStick(array $planned): array
    {
        $files = [];
        foreach ($planned as $file) {
            $files[$file->path] = $file->bytes;
        }

        return $files;
    }

    /**
     * @param  array<string, int>  $files
     * @return list<PlannedFile>
     */
    private static function fromImage(array $files, StickWish $wish): array
    {
        $planned = [];
        foreach ($files as $path => $bytes) {
            $path = (string) $path;
            if ($bytes <= Fat32Geometry::MAX_FILE) {
                $planned[] = new PlannedFile($path, $bytes, $path, 0, 'image', $bytes);

                continue;
            }
            $pattern =
                $wish->parts[$path] ??
                throw PlanFault::notPossible(
                    "{$path} has ".
                        Bytes::of($bytes)->exact().
                        ', more than a FAT32 file can hold, and this installer does not join parts. Write the image '
                            .'raw, or choose another.',
                );
            $at = 0;
            foreach (Split::of($path, Bytes::of($bytes), $wish->part, $pattern)->parts as $part) {
                $planned[] = new PlannedFile($part['name'], $part['bytes'], $path, $at, 'image', $bytes);
                $at += $part['bytes'];
            }
        }

        return $planned;
    }

    /**
     * Rule M5: parts that the system's own splitter cuts are a matter of the exported script.
     *
     * @param  list<PlannedFile>  $planned
     */
    private static function splitterFor(array $planned, StickWish $wish): ?Splitter
    {
        foreach ($planned as $file) {
            if ($file->isPart() && $wish->splitter !== null) {
                return new Splitter($wish->splitter, $wish->parts[$file->source], $file->source);
            }
        }

        return null;
    }

    /** @param  array<string, int>  $files */
    private static function layout(StickTarget $target, StickWish $wish, string $label, array $files): Layout
    {
        $sector = SectorSize::from($target->sector);
        $size = $wish->storage ? self::installerSize($files) : null;
        $requests = [
            new PartitionRequest(
                $label,
                PartitionType::BasicData,
                $size,
                'fat32',
                'installer',
                $wish->scheme === Scheme::Mbr,
            ),
        ];
        if ($wish->storage) {
            $requests[] = new PartitionRequest('storage', PartitionType::BasicData, null, 'exfat', 'data');
        }
        $layout = LayoutBuilder::build(
            $wish->scheme,
            $sector,
            Bytes::of($target->bytes),
            $requests,
            "stick {$target->serial} {$target->bytes}",
        );
        $fat = $layout->partitions[0]->fat32 ?? throw PlanFault::notPossible('A FAT32 partition is needed.');
        $need = Fat32Need::exact($files, $fat->clusterSize());
        if ($need->isMoreThan($fat->capacity())) {
            throw LayoutImpossible::noRoom('the files', $need, $fat->capacity());
        }

        return $layout;
    }

    /** @param  array<string, int>  $files */
    private static function installerSize(array $files): Bytes
    {
        return StickNeed::partitionBesideStorage(Fat32Need::exact($files, Bytes::of(4096)));
    }
}
