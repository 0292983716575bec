<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Stick;
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

/** What will stand where on the stick (rule M6). */
final class StickLayout
{
    /** One FAT32 partition over the whole stick, active where MBR wants it. */
    public static function copied(Stick $stick, Scheme $scheme, string $label): Layout
    {
        return LayoutBuilder::build(
            $scheme,
            SectorSize::from($stick->sectorBytes),
            $stick->size(),
            [
                new PartitionRequest(
                    $label,
                    PartitionType::BasicData,
                    null,
                    'fat32',
                    'installer',
                    $scheme === Scheme::Mbr,
                ),
            ],
            "stick {$stick->id}",
        );
    }

    /** Upper bound of what the image's files and a driver folder take on a volume with that cluster. */
    public static function need(Image $image, Bytes $cluster, Bytes $extra, int $extraFiles): Bytes
    {
        $files = $image->counted();

        return Fat32Need::atMost(
            $files->count + $extraFiles,
            $files->directories + ($extraFiles > 0 ? 1 : 0),
            Bytes::of($files->bytes)->plus($extra),
            $cluster,
        );
    }

    /**
     * The smallest device that holds the files with the wanted spare: the cluster follows from the size, so the need is settled for the largest cluster it could have.
     */
    public static function deviceNeed(Image $image, Bytes $extra, int $extraFiles, float $spare): Bytes
    {
        $cluster = Fat32Geometry::clusterFor(
            self::need($image, Bytes::of(4096), $extra, $extraFiles)->withMargin($spare + 0.05),
            SectorSize::B512,
        );
        $need = self::need($image, $cluster, $extra, $extraFiles)->withMargin($spare);
        $tables = 2 * 4 * ($need->portions($cluster) + 2);

        return $need->plus(Bytes::of($tables))->plus(Bytes::mebi(3));
    }

    /**
     * @throws LayoutImpossible where the files do not fit after all
     */
    public static function mustFit(Layout $layout, Bytes $need): void
    {
        $capacity = $layout->partitions[0]->fat32?->capacity() ?? Bytes::of(0);
        if ($need->isMoreThan($capacity)) {
            throw LayoutImpossible::noRoom('the installer\'s files', $need, $capacity);
        }
    }
}
