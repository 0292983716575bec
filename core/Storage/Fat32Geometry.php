<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Bytes;

/** Every value a FAT32 volume is made with (rule M6; the FAT specification, "FAT volume initialization"). */
final readonly class Fat32Geometry
{
    public const RESERVED_SECTORS = 32;

    public const COPIES = 2;

    public const MIN_CLUSTERS = 65_525;

    public const MAX_CLUSTERS = 268_435_445;

    /** The largest file: its length field has 32 bits. */
    public const MAX_FILE = 4_294_967_295;

    private const MAX_SECTORS = 4_294_967_295;

    private function __construct(
        public SectorSize $sector,
        public int $sectors,
        public int $sectorsPerCluster,
        public int $fatSectors,
        public int $clusters,
    ) {
    }

    /**
     * The geometry of a volume of so many sectors, its cluster chosen by size.
     *
     * @throws LayoutImpossible where no FAT32 volume of that size exists
     */
    public static function forSectors(int $sectors, SectorSize $sector): self
    {
        return self::withCluster($sectors, $sector, self::clusterFor($sector->bytes($sectors), $sector));
    }

    /**
     * The same with a cluster the caller chooses.
     *
     * @throws LayoutImpossible
     */
    public static function withCluster(int $sectors, SectorSize $sector, Bytes $cluster): self
    {
        if ($sectors > self::MAX_SECTORS) {
            throw LayoutImpossible::fat32TooLarge($sector->bytes($sectors));
        }
        $spc = intdiv($cluster->count, $sector->value);
        $fat = self::fatLength($sectors, $sector, $spc);
        $clusters = intdiv($sectors - self::RESERVED_SECTORS - self::COPIES * $fat, $spc);
        if ($clusters < self::MIN_CLUSTERS) {
            throw LayoutImpossible::fat32TooSmall($sector->bytes($sectors), $cluster);
        }
        if ($clusters > self::MAX_CLUSTERS) {
            throw LayoutImpossible::fat32TooLarge($sector->bytes($sectors));
        }

        return new self($sector, $sectors, $spc, $fat, $clusters);
    }

    /** Cluster by volume size, at least one sector. */
    public static function clusterFor(Bytes $volume, SectorSize $sector): Bytes
    {
        $bytes = match (true) {
            $volume->count <= 260 * Bytes::MEBI => 512,
            $volume->count <= 8 * Bytes::GIBI => 4096,
            $volume->count <= 16 * Bytes::GIBI => 8192,
            $volume->count <= 32 * Bytes::GIBI => 16_384,
            default => 32_768,
        };

        return Bytes::of(max($bytes, $sector->value));
    }

    public function clusterSize(): Bytes
    {
        return Bytes::of($this->sectorsPerCluster * $this->sector->value);
    }

    /** What files and directories may take together. */
    public function capacity(): Bytes
    {
        return Bytes::of($this->clusters * $this->clusterSize()->count);
    }

    /**
     * As toArray() wrote it; nothing is worked out anew.
     *
     * @throws FieldFault
     */
    public static function read(Fields $fields): self
    {
        return new self(
            SectorSize::tryFrom($fields->int('sector_bytes'))
                ?? throw FieldFault::at($fields->path('sector_bytes'), 'a sector has 512 or 4096 bytes.'),
            $fields->int('sectors'),
            $fields->int('sectors_per_cluster'),
            $fields->int('fat_sectors'),
            $fields->int('clusters'),
        );
    }

    /** @return array<string, int> */
    public function toArray(): array
    {
        return [
            'sector_bytes' => $this->sector->value,
            'sectors' => $this->sectors,
            'sectors_per_cluster' => $this->sectorsPerCluster,
            'reserved_sectors' => self::RESERVED_SECTORS,
            'fats' => self::COPIES,
            'fat_sectors' => $this->fatSectors,
            'clusters' => $this->clusters,
        ];
    }

    /** The smallest f with f × sector ≥ 4 × (clusters(f) + 2); the left side grows and the right shrinks with f. */
    private static function fatLength(int $sectors, SectorSize $sector, int $spc): int
    {
        [$low, $high] = [1, intdiv(4 * (intdiv($sectors, $spc) + 2), $sector->value) + 1];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $clusters = intdiv($sectors - self::RESERVED_SECTORS - self::COPIES * $middle, $spc);
            if ($middle * $sector->value >= 4 * ($clusters + 2)) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low;
    }
}
