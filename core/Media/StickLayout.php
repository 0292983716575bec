<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Stick;
use Cobblestone\Quantity\Bytes;
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

    /** The installer's FAT32 partition, and storage over the rest (rule M16): a GUID table. */
    public static function besideStorage(Stick $stick, string $label, Bytes $need): Layout
    {
        return LayoutBuilder::build(
            Scheme::Gpt,
            SectorSize::from($stick->sectorBytes),
            $stick->size(),
            [
                new PartitionRequest(
                    $label,
                    PartitionType::BasicData,
                    StickNeed::partitionBesideStorage($need),
                    'fat32',
                    'installer',
                    false,
                ),
                new PartitionRequest('storage', PartitionType::BasicData, null, 'exfat', 'data'),
            ],
            "stick {$stick->id}",
        );
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
