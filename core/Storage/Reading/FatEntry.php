<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

/** One file or directory of a FAT file system. */
final readonly class FatEntry
{
    private const LONG_NAME = 0x0F;

    private const LABEL = 0x08;

    private const DIRECTORY = 0x10;

    private function __construct(
        public string $name,
        public string $shortName,
        public bool $directory,
        public int $size,
        public int $cluster,
    ) {
    }

    /**
     * The entries of a directory's bytes, long names put together; a long name whose checksum is not that of the
     * short one behind it belongs to a file that is gone, and is dropped.
     *
     * @return list<self>
     */
    public static function listOf(string $bytes): array
    {
        $entries = [];
        $long = [];
        $checksum = -1;
        foreach (str_split($bytes, 32) as $entry) {
            if (strlen($entry) < 32 || $entry[0] === "\0") {
                break;
            }
            $attributes = ord($entry[11]) & 0x3F;
            if ($entry[0] === "\xE5") {
                $long = [];
            } elseif ($attributes === self::LONG_NAME) {
                if ((ord($entry[0]) & 0x40) !== 0) {
                    $long = [];
                    $checksum = ord($entry[13]);
                }
                $long[ord($entry[0]) & 0x1F] = substr($entry, 1, 10).substr($entry, 14, 12).substr($entry, 28, 4);
            } else {
                if (($attributes & self::LABEL) === 0 && $entry[0] !== '.') {
                    $entries[] = self::of($entry, $attributes, self::checksum($entry) === $checksum ? $long : []);
                }
                $long = [];
            }
        }

        return $entries;
    }

    /** @param  array<int, string>  $long */
    private static function of(string $entry, int $attributes, array $long): self
    {
        /** @var array{high: int} $h */
        $h = unpack('vhigh', $entry, 20);
        /** @var array{low: int, size: int} $l */
        $l = unpack('vlow/Vsize', $entry, 26);
        $base = rtrim(substr($entry, 0, 8));
        $extension = rtrim(substr($entry, 8, 3));
        $short = $extension === '' ? $base : "{$base}.{$extension}";
        ksort($long);
        $wide = (string) preg_replace('/^((?:..)*?)\x00\x00.*$/s', '$1', implode('', $long));

        return new self(
            $wide === ''
                ? self::cased($entry, $base, $extension)
                : (string) mb_convert_encoding($wide, 'UTF-8', 'UTF-16LE'),
            $short,
            ($attributes & self::DIRECTORY) !== 0,
            $l['size'],
            ($h['high'] << 16) | $l['low'],
        );
    }

    /** Lower case of a whole base or extension is kept in two bits instead of a long name. */
    private static function cased(string $entry, string $base, string $extension): string
    {
        $bits = ord($entry[12]);
        $base = ($bits & 0x08) !== 0 ? strtolower($base) : $base;
        $extension = ($bits & 0x10) !== 0 ? strtolower($extension) : $extension;

        return $extension === '' ? $base : "{$base}.{$extension}";
    }

    /** FAT specification, "Organization and association of short and long directory entries". */
    private static function checksum(string $entry): int
    {
        $sum = 0;
        for ($i = 0; $i < 11; $i++) {
            $sum = ((($sum & 1) << 7) + ($sum >> 1) + ord($entry[$i])) & 0xFF;
        }

        return $sum;
    }
}
