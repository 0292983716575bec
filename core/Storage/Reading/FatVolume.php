<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** A FAT12, FAT16 or FAT32 file system, read as firmware reads it (the FAT specification; rules M2, B). */
final class FatVolume
{
    private const END_OF_CHAIN = ['fat12' => 0xFF8, 'fat16' => 0xFFF8, 'fat32' => 0x0FFF_FFF8];

    /** The directory entries of one directory are at most 65 536 of 32 bytes. */
    private const LARGEST_DIRECTORY = 2_097_152;

    /** The last piece of the allocation table that was read; chains mostly stay inside it. */
    private string $fatPiece = '';

    private int $fatPieceAt = -1;

    /** @param  array<string, int>  $geometry */
    private function __construct(
        private readonly ByteSource $source,
        public readonly string $kind,
        public readonly array $geometry,
    ) {
    }

    /** Null where the boot sector is not that of a FAT file system. */
    public static function open(ByteSource $source): ?self
    {
        $boot = FatBootSector::of($source->read(0, 512));

        return $boot === null ? null : new self($source, $boot->kind(), $boot->geometry());
    }

    public function clusterBytes(): int
    {
        return $this->geometry['spc'] * $this->geometry['sector'];
    }

    /** The label in the root directory, as firmware menus show it. */
    public function label(): ?string
    {
        foreach (str_split($this->directoryBytes(null), 32) as $entry) {
            if (
                strlen($entry) === 32 &&
                $entry[0] !== "\0" &&
                $entry[0] !== "\xE5" &&
                (ord($entry[11]) & 0x3F) === 0x08
            ) {
                return rtrim(substr($entry, 0, 11));
            }
        }

        return null;
    }

    /** A file or directory by its path, upper and lower case alike; null where it is not there. */
    public function find(string $path): ?FatEntry
    {
        $found = null;
        foreach (explode('/', trim($path, '/')) as $name) {
            if ($found !== null && ! $found->directory) {
                return null;
            }
            $next = null;
            foreach ($this->entries($found) as $entry) {
                if (mb_strtoupper($entry->name) === mb_strtoupper($name) || $entry->shortName === strtoupper($name)) {
                    $next = $entry;
                    break;
                }
            }
            if ($next === null) {
                return null;
            }
            $found = $next;
        }

        return $found;
    }

    /** @return list<FatEntry> what a directory holds, "." and ".." and labels apart; null is the root */
    public function entries(?FatEntry $directory = null): array
    {
        return FatEntry::listOf($this->directoryBytes($directory));
    }

    /**
     * Every file below the root, path => entry; at most $limit of them, at most $limit directories, and no directory
     * twice.
     *
     * @return array<string, FatEntry>
     */
    public function files(int $limit = 200_000): array
    {
        $files = [];
        $seen = [];
        $open = [['', null]];
        while ($open !== [] && count($files) < $limit && count($seen) < $limit) {
            [$path, $directory] = array_pop($open);
            foreach ($this->entries($directory) as $entry) {
                if (! $entry->directory) {
                    $files["{$path}{$entry->name}"] = $entry;
                } elseif (! isset($seen[$entry->cluster])) {
                    $seen[$entry->cluster] = true;
                    $open[] = ["{$path}{$entry->name}/", $entry];
                }
            }
        }

        return $files;
    }

    /** The first $limit bytes of a file; fewer where its chain ends before its size does. */
    public function contents(FatEntry $file, int $limit): string
    {
        $bytes = '';
        foreach ($this->extents($file) as [$at, $length]) {
            $bytes .= $this->source->read($at, min($length, $limit - strlen($bytes)));
            if (strlen($bytes) >= $limit) {
                break;
            }
        }

        return $bytes;
    }

    /**
     * Where a file's bytes are, neighbouring clusters joined.
     *
     * @return \Generator<int, array{int, int}> byte offset in the volume and length
     */
    public function extents(FatEntry $file): \Generator
    {
        $left = $file->size;
        $from = $length = 0;
        foreach ($left > 0 ? $this->chain($file->cluster) : [] as $cluster) {
            $at = $this->clusterAt($cluster);
            $take = min($left, $this->clusterBytes());
            if ($length > 0 && $from + $length === $at) {
                $length += $take;
            } else {
                if ($length > 0) {
                    yield [$from, $length];
                }
                [$from, $length] = [$at, $take];
            }
            $left -= $take;
            if ($left <= 0) {
                break;
            }
        }
        if ($length > 0) {
            yield [$from, $length];
        }
    }

    /**
     * Where a directory's own clusters are; null is the root.
     *
     * @return \Generator<int, array{int, int}> byte offset in the volume and length
     */
    public function clusters(?FatEntry $directory): \Generator
    {
        foreach (
            $directory === null && $this->kind !== 'fat32'
                ? []
                : $this->chain($directory->cluster ?? $this->geometry['root_cluster']) as $cluster
        ) {
            yield [$this->clusterAt($cluster), $this->clusterBytes()];
        }
    }

    private function directoryBytes(?FatEntry $directory): string
    {
        if ($directory === null && $this->kind !== 'fat32') {
            return $this->source->read(
                $this->geometry['root_at'] * $this->geometry['sector'],
                $this->geometry['root_bytes'],
            );
        }
        $bytes = '';
        foreach ($this->chain($directory->cluster ?? $this->geometry['root_cluster']) as $cluster) {
            $bytes .= $this->source->read($this->clusterAt($cluster), $this->clusterBytes());
            if (strlen($bytes) >= self::LARGEST_DIRECTORY) {
                break;
            }
        }

        return $bytes;
    }

    /** @return \Generator<int, int> the clusters of a chain; it ends at a mark, a fault, or when it bites its tail */
    private function chain(int $cluster): \Generator
    {
        $steps = 0;
        while (
            $cluster >= 2 &&
            $cluster < $this->geometry['clusters'] + 2 &&
            $steps++ < $this->geometry['clusters']
        ) {
            yield $cluster;
            $cluster = $this->next($cluster);
            if ($cluster >= self::END_OF_CHAIN[$this->kind]) {
                return;
            }
        }
    }

    private function next(int $cluster): int
    {
        if ($this->kind === 'fat12') {
            $pair = str_pad($this->fat(intdiv($cluster * 3, 2), 2), 2, "\0");
            $value = ord($pair[0]) | (ord($pair[1]) << 8);

            return $cluster % 2 === 1 ? $value >> 4 : $value & 0xFFF;
        }
        $width = $this->kind === 'fat16' ? 2 : 4;
        $bytes = str_pad($this->fat($cluster * $width, $width), 4, "\0");
        /** @var array{1: int} $value */
        $value = unpack('V', $bytes);

        return $this->kind === 'fat16' ? $value[1] & 0xFFFF : $value[1] & 0x0FFF_FFFF;
    }

    private function fat(int $at, int $length): string
    {
        $piece = 32_768;
        if (
            $this->fatPieceAt < 0 ||
            $at < $this->fatPieceAt ||
            $at + $length > $this->fatPieceAt + strlen($this->fatPiece)
        ) {
            $this->fatPieceAt = intdiv($at, $piece) * $piece;
            $whole = $this->geometry['fat_sectors'] * $this->geometry['sector'];
            // Two bytes more: a FAT12 entry may lie across the border.
            $this->fatPiece = $this->source->read(
                $this->geometry['reserved'] * $this->geometry['sector'] + $this->fatPieceAt,
                max(0, min($piece + 2, $whole - $this->fatPieceAt)),
            );
        }

        return substr($this->fatPiece, $at - $this->fatPieceAt, $length);
    }

    private function clusterAt(int $cluster): int
    {
        return ($this->geometry['data_at'] + ($cluster - 2) * $this->geometry['spc']) * $this->geometry['sector'];
    }
}
