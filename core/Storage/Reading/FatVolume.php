<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** A FAT12, FAT16 or FAT32 file system, read as firmware reads it (the FAT specification; rules M2, B). */
final class FatVolume
{
    /** The directory entries of one directory are at most 65 536 of 32 bytes. */
    private const LARGEST_DIRECTORY = 2_097_152;

    private readonly FatTable $table;

    /** @param  array<string, int>  $geometry */
    private function __construct(
        private readonly ByteSource $source,
        public readonly string $kind,
        public readonly array $geometry,
    ) {
        $this->table = new FatTable($source, $kind, $geometry);
    }

    /** Null where the boot sector is not that of a FAT file system. */
    public static function open(ByteSource $source): ?self
    {
        $boot = FatBootSector::of($source->read(0, 512));

        return $boot === null ? null : new self($source, $boot->kind(), $boot->geometry());
    }

    /** As UEFI firmware takes it: by the fields alone, without a jump at the start and 55AA at the end. */
    public static function asFirmware(ByteSource $source): ?self
    {
        $boot = FatBootSector::of($source->read(0, 512), false);

        return $boot === null ? null : new self($source, $boot->kind(), $boot->geometry());
    }

    /** Whether a directory's chain of clusters ends where its table says so; null is the root. */
    public function isWhole(?FatEntry $directory): bool
    {
        if ($directory === null && $this->kind !== 'fat32') {
            return true;
        }

        return $this->table->ends($directory->cluster ?? $this->geometry['root_cluster']);
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
        foreach ($left > 0 ? $this->table->chain($file->cluster) : [] as $cluster) {
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
                : $this->table->chain($directory->cluster ?? $this->geometry['root_cluster']) as $cluster
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
        foreach ($this->table->chain($directory->cluster ?? $this->geometry['root_cluster']) as $cluster) {
            $bytes .= $this->source->read($this->clusterAt($cluster), $this->clusterBytes());
            if (strlen($bytes) >= self::LARGEST_DIRECTORY) {
                break;
            }
        }

        return $bytes;
    }

    private function clusterAt(int $cluster): int
    {
        return ($this->geometry['data_at'] + ($cluster - 2) * $this->geometry['spc']) * $this->geometry['sector'];
    }
}
