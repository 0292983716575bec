<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\ImageFiles;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Fat32Geometry;
use Cobblestone\Storage\Fat32Need;
use Cobblestone\Storage\SectorSize;

/**
 * What files take on a stick before their tree is known, and how large the stick must be (rules M6, M16). A job's stick
 * and the workshop's are both planned with it.
 */
final readonly class StickNeed
{
    /**
     * Rule M16: beside storage the installer's partition is larger than its need by this part, in steps of this size.
     */
    private const BESIDE_STORAGE = 0.15;

    private const STEP_MEBI = 256;

    /** Clusters beyond the least that FAT32 knows, so that no tool takes it for FAT16. */
    private const OVER_LEAST = 1100;

    /** What a cluster's size is chosen from is a little more than what it then has to hold. */
    private const SLACK = 0.05;

    private function __construct(private int $files, private int $directories, private Bytes $bytes)
    {
    }

    /** @param  int  $extraFiles  files that go along, in a folder of their own */
    public static function of(ImageFiles $counted, Bytes $extra, int $extraFiles): self
    {
        return new self(
            $counted->count + $extraFiles,
            $counted->directories + ($extraFiles > 0 ? 1 : 0),
            Bytes::of($counted->bytes)->plus($extra),
        );
    }

    /** Upper bound of what they take on a volume with that cluster. */
    public function onVolume(Bytes $cluster): Bytes
    {
        return Fat32Need::atMost($this->files, $this->directories, $this->bytes, $cluster);
    }

    /**
     * The smallest stick that holds them with the wanted spare: the cluster follows from the size, so the need is
     * settled for the largest cluster it could have.
     *
     * @param  float  $spare  part of the need, 0.1 for a tenth
     */
    public function wholeStick(float $spare): Bytes
    {
        $cluster = Fat32Geometry::clusterFor(
            $this->onVolume(Bytes::of(4096))->withMargin($spare + self::SLACK),
            SectorSize::B512,
        );
        $need = $this->onVolume($cluster)->withMargin($spare);
        // Below this no FAT32 volume exists; above it the two tables, and what stands before the first partition.
        $least = Bytes::of((Fat32Geometry::MIN_CLUSTERS + self::OVER_LEAST) * 512);
        $volume = $least->isMoreThan($need) ? $least : $need;

        return $volume->plus(Bytes::of(2 * 4 * ($volume->portions($cluster) + 2)))->plus(Bytes::mebi(3));
    }

    /** The smallest stick that holds them beside a storage partition. */
    public function besideStorage(): Bytes
    {
        return self::partitionBesideStorage($this->onVolume(Bytes::of(4096)))->plus(Bytes::mebi(self::STEP_MEBI));
    }

    /** Size of the installer's partition where storage stands beside it: at least what FAT32 needs at all. */
    public static function partitionBesideStorage(Bytes $need): Bytes
    {
        $steps = $need->withMargin(self::BESIDE_STORAGE)->portions(Bytes::mebi(self::STEP_MEBI));

        return Bytes::mebi(max($steps, 2) * self::STEP_MEBI);
    }
}
