<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

use Cobblestone\Storage\Guid;

/**
 * One of the two headers with its array of entries, checked before anything in it is used (UEFI specification 2.10,
 * 5.3.2).
 */
final readonly class GptHeader
{
    private const BYTES = 92;

    /** 128 entries of 128 bytes are usual; what states more than this is not read. */
    private const LARGEST_ARRAY = 1_048_576;

    /** No device has so many sectors; times 4096 it still is a whole number here. */
    private const FARTHEST = 1 << 50;

    /** @param  list<ReadPartition>  $partitions */
    private function __construct(
        public ?string $fault,
        public int $at,
        public int $other = 0,
        public int $firstUsable = 0,
        public int $lastUsable = 0,
        public int $entriesAt = 0,
        public string $diskGuid = '',
        public array $partitions = [],
    ) {
    }

    /** @param  int  $at sector the header is expected in */
    public static function read(ByteSource $source, int $sector, int $at): self
    {
        $bytes = $source->read($at * $sector, $sector);
        if (substr($bytes, 0, 8) !== 'EFI PART' || strlen($bytes) < self::BYTES) {
            return new self('there is no header', $at);
        }
        /**
         * @var array{revision: int, size: int, crc: int, zero: int, own: int, other: int, first: int, last: int} $head
         */
        $head = unpack('Vrevision/Vsize/Vcrc/Vzero/Pown/Pother/Pfirst/Plast', $bytes, 8);
        /** @var array{at: int, count: int, size: int, crc: int} $array */
        $array = unpack('Pat/Vcount/Vsize/Vcrc', $bytes, 72);
        $sum = crc32(substr_replace(substr($bytes, 0, $head['size']), "\0\0\0\0", 16, 4));
        $fault = match (true) {
            $head['size'] < self::BYTES || $head['size'] > $sector => "it states a header of {$head['size']} bytes",
            $sum !== $head['crc'] => 'its checksum does not match',
            $head['own'] !== $at => "it states that it stands in sector {$head['own']}",
            default => self::arrayFault($array, $source, $sector),
        };
        if ($fault !== null) {
            return new self($fault, $at);
        }
        $entries = $source->read($array['at'] * $sector, $array['count'] * $array['size']);
        if (crc32($entries) !== $array['crc']) {
            return new self('the checksum of its entries does not match', $at);
        }

        return new self(
            null,
            $at,
            self::place($head['other']),
            self::place($head['first']),
            self::place($head['last']),
            $array['at'],
            self::guid(substr($bytes, 56, 16)),
            self::partitions($entries, $array['size']),
        );
    }

    public function isValid(): bool
    {
        return $this->fault === null;
    }

    /** Whether both headers describe the same partitions. */
    public function agreesWith(self $other): bool
    {
        return $this->diskGuid === $other->diskGuid && $this->partitions == $other->partitions;
    }

    /** @param  array{at: int, count: int, size: int, crc: int}  $array */
    private static function arrayFault(array $array, ByteSource $source, int $sector): ?string
    {
        if ($array['size'] < 128 || $array['size'] % 128 !== 0) {
            return "it states entries of {$array['size']} bytes";
        }
        if ($array['count'] < 1 || $array['count'] * $array['size'] > self::LARGEST_ARRAY) {
            return "it states {$array['count']} entries";
        }

        return $array['at'] < 1 || $array['at'] > intdiv($source->size(), $sector)
            ? 'its entries stand outside the device'
            : null;
    }

    /** @return list<ReadPartition> */
    private static function partitions(string $entries, int $size): array
    {
        $partitions = [];
        foreach (str_split($entries, max(1, $size)) as $index => $entry) {
            if (strlen($entry) < 128 || trim(substr($entry, 0, 16), "\0") === '') {
                continue;
            }
            /** @var array{1: int, 2: int, 3: int} $place */
            $place = unpack('P3', $entry, 32);
            $name = rtrim((string) mb_convert_encoding(substr($entry, 56, 72), 'UTF-8', 'UTF-16LE'), "\0");
            [$first, $last] = [self::place($place[1]), self::place($place[2])];
            $partitions[] = new ReadPartition(
                $index + 1,
                $first,
                $last - $first + 1,
                self::guid(substr($entry, 0, 16)),
                explode("\0", $name)[0],
                self::guid(substr($entry, 16, 16)),
                ($place[3] & 4) !== 0,
            );
        }

        return $partitions;
    }

    /** A 64-bit field that lies must not leave the numbers we count bytes in. */
    private static function place(int $sector): int
    {
        return $sector < 0 || $sector > self::FARTHEST ? self::FARTHEST : $sector;
    }

    private static function guid(string $bytes): string
    {
        return Guid::fromBytes($bytes)->text;
    }
}
