<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\ImagePartition;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Question;
use Cobblestone\Storage\DeviceLayout;
use Cobblestone\Storage\DevicePart;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\Scheme;

/** What an image takes on a stick: its size when written, and the layouts that come of it. */
final class MediaSizes
{
    /** The expanded size as somebody answered it. */
    public static function expandedSize(Image $image): Question
    {
        $decides = 'which stick can take it; a compressed size says nothing of that';
        $asked = FactQuestion::about('image.expanded_bytes', $decides, 'M2', 85, [Act::WriteStick]);

        return $asked->worded(FactQuestion::text('image.expanded_bytes', ['image' => $image->name]));
    }

    public static function typedSize(Machine $machine): ?Bytes
    {
        $typed = $machine->fact('image.expanded_bytes')->value;
        try {
            return is_int($typed) || is_string($typed) ? Bytes::parse($typed) : null;
        } catch (InvalidQuantity) {
            return null;
        }
    }

    /** @return array{0: DeviceLayout|null, 1: list<Blocker>} */
    public static function copiedLayout(
        ?Stick $stick,
        Scheme $scheme,
        string $label,
        Image $image,
        Bytes $drivers,
        int $driverFiles,
    ): array {
        if ($stick === null) {
            return [null, []];
        }
        try {
            $of = StickNeed::of($image->counted(), $drivers, $driverFiles);
            $layout = $image->besideStorage
                ? StickLayout::besideStorage($stick, $label, $of->onVolume(Bytes::of(4096)))
                : StickLayout::copied($stick, $scheme, $label);
            $cluster = $layout->partitions[0]->fat32?->clusterSize() ?? Bytes::of(0);
            $need = $of->onVolume($cluster);
            StickLayout::mustFit($layout, $need);
        } catch (LayoutImpossible $e) {
            return [null, [Blocker::narrow('stick-layout', $e->getMessage(), 'M6', [Act::WriteStick], Door::page(
                'stick',
                'Take a larger stick.',
            ))]];
        }

        return [DeviceLayout::of($layout, $label, $need), []];
    }

    public static function rawLayout(Image $image, Stick $stick, Bytes $bytes): DeviceLayout
    {
        $sector = $stick->sectorBytes;

        return new DeviceLayout(
            $image->table ?? 'as in the image',
            $sector,
            array_map(static fn (ImagePartition $partition, int $index): DevicePart => new DevicePart(
                $partition->name,
                $partition->role,
                $partition->firstSector,
                $partition->sectors,
                $partition->sectors * $sector,
                $partition->fileSystem ?? 'none',
                number: $index + 1,
                type: $partition->type,
            ), $image->partitions, array_keys($image->partitions)),
            deviceBytes: $stick->size()->count,
            deviceSectors: intdiv($stick->size()->count, $sector),
            outOfReachBytes: 0,
            writtenBytes: $bytes->count,
        );
    }
}
