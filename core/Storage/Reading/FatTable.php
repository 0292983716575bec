<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** The first file allocation table of a FAT file system: which cluster follows which. */
final class FatTable
{
    private const END_OF_CHAIN = ['fat12' => 0xFF8, 'fat16' => 0xFFF8, 'fat32' => 0x0FFF_FFF8];

    private const PIECE = 32_768;

    /** The last piece of it that was read; chains mostly stay inside it. */
    private string $piece = '';

    private int $pieceAt = -1;

    /** @param  array<string, int>  $geometry  see FatBootSector */
    public function __construct(
        private readonly ByteSource $source,
        private readonly string $kind,
        private readonly array $geometry,
    ) {
    }

    /**
     * Whether a chain of clusters comes to an end: at a mark, or at a number beyond the last cluster, which firmware
     * takes for one. It does not where it leads to a free cluster or bites its tail.
     */
    public function ends(int $cluster): bool
    {
        foreach ($this->chain($cluster) as $cluster) {
            continue;
        }

        return $cluster >= 2 && $this->next($cluster) >= $this->geometry['clusters'] + 2;
    }

    /** @return \Generator<int, int> the clusters of a chain; it ends at a mark, a fault, or when it bites its tail */
    public function chain(int $cluster): \Generator
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
        if (
            $this->pieceAt < 0 ||
            $at < $this->pieceAt ||
            $at + $length > $this->pieceAt + strlen($this->piece)
        ) {
            $this->pieceAt = intdiv($at, self::PIECE) * self::PIECE;
            $whole = $this->geometry['fat_sectors'] * $this->geometry['sector'];
            // Two bytes more: a FAT12 entry may lie across the border.
            $this->piece = $this->source->read(
                $this->geometry['reserved'] * $this->geometry['sector'] + $this->pieceAt,
                max(0, min(self::PIECE + 2, $whole - $this->pieceAt)),
            );
        }

        return substr($this->piece, $at - $this->pieceAt, $length);
    }
}
