<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** Whether paths can stand on a FAT file system as they are (the FAT specification, "Long file names"). */
final class FatNames
{
    private const LONGEST = 255;

    /**
     * @param  iterable<string>  $paths
     * @return list<string> what cannot stand, each with its reason; at most ten
     */
    public static function faults(iterable $paths): array
    {
        $faults = [];
        $seen = [];
        foreach ($paths as $path) {
            $shown =
                '"'.
                mb_strimwidth((string) preg_replace('/[\x00-\x1F\x7F]/', '?', mb_scrub($path)), 0, 60, '…').
                '"';
            $fault = self::fault($path);
            $upper = mb_strtoupper($path);
            if ($fault === null && isset($seen[$upper])) {
                $fault = 'differs from another only in upper and lower case';
            }
            $seen[$upper] = true;
            if ($fault !== null) {
                $faults[] = "{$shown} {$fault}.";
            }
            if (count($faults) >= 10) {
                break;
            }
        }

        return $faults;
    }

    private static function fault(string $path): ?string
    {
        if (! mb_check_encoding($path, 'UTF-8')) {
            return 'is not written in UTF-8';
        }
        foreach (explode('/', $path) as $name) {
            $fault = match (true) {
                $name === '' || $name === '.' || $name === '..' => 'leads outside or nowhere',
                preg_match('/[\x00-\x1F"*:<>?\\\\|]/', $name) === 1 => 'has a character that FAT does not take',
                str_ends_with($name, '.') || str_ends_with($name, ' ') => 'ends with a dot or a space',
                intdiv(
                    strlen((string) mb_convert_encoding($name, 'UTF-16LE', 'UTF-8')),
                    2,
                ) > self::LONGEST => 'has a name of more than 255 characters',
                default => null,
            };
            if ($fault !== null) {
                return $fault;
            }
        }

        return null;
    }
}
