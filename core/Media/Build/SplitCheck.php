<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

use Cobblestone\Storage\Fat32Geometry;

/** Whether the parts that came out are legal and complete, whoever cut them (rule M5). */
final class SplitCheck
{
    /** Parts cut at inner boundaries carry headers of their own: their sum may differ by this share. */
    private const TOLERANCE = 0.02;

    /**
     * @param  array<string, int>  $files  everything in the folder of the parts, path => bytes
     * @param  string  $pattern  names of the parts, with one %d, counted from 1
     * @param  string  $original  path of the whole file, which must not be on the stick
     * @return list<string>
     */
    public static function faults(array $files, string $pattern, string $original, int $whole): array
    {
        $faults = isset($files[$original]) ? ["{$original} is on the stick as a whole too."] : [];
        $parts = [];
        foreach ($files as $path => $bytes) {
            $number = self::number((string) $path, $pattern);
            if ($number !== null) {
                $parts[$number] = $bytes;
            }
        }
        ksort($parts);
        if ($parts === []) {
            return [...$faults, 'There is no part of it.'];
        }
        if (array_keys($parts) !== range(1, count($parts))) {
            $faults[] = 'The parts are numbered '.implode(', ', array_keys($parts)).': one is missing.';
        }
        foreach ($parts as $number => $bytes) {
            if ($bytes > Fat32Geometry::MAX_FILE || $bytes < 1) {
                $faults[] = "Part {$number} has {$bytes} B; a FAT32 file has 1 to ".Fat32Geometry::MAX_FILE.' B.';
            }
        }
        $sum = array_sum($parts);
        if (abs($sum - $whole) > $whole * self::TOLERANCE) {
            $faults[] = "Together the parts have {$sum} B, the whole has {$whole} B.";
        }

        return $faults;
    }

    public static function isPart(string $path, string $pattern): bool
    {
        return self::number($path, $pattern) !== null;
    }

    /** FAT takes upper and lower case alike. */
    private static function number(string $path, string $pattern): ?int
    {
        return preg_match(
            '#^'.str_replace('%d', '([0-9]{1,6})', preg_quote($pattern, '#')).'$#i',
            $path,
            $match,
        ) === 1
            ? (int) $match[1]
            : null;
    }
}
