<?php

declare(strict_types=1);

namespace App\Devices\Packages;

use App\Devices\Inspection\SevenZipTree;
use Cobblestone\Drivers\Setup\SetupText;
use Cobblestone\Media\Inspection\ListingFailed;
use Illuminate\Support\Facades\File;
use RuntimeException;

/**
 * A package that came as an archive: zip, 7z, cabinet, or a program that unpacks itself. It is never run. 7-Zip from
 * Debian lists it and takes the setup-information files out; all else stays where it is.
 */
final class PackageArchive
{
    /** How the first bytes of each kind read. */
    private const STARTS = ['zip' => "PK\x03\x04", '7z' => "7z\xBC\xAF\x27\x1C", 'cab' => 'MSCF', 'exe' => 'MZ'];

    private const MOST_FILES = 20_000;

    private const MOST_SETUP_FILES = 400;

    /** Bytes of all setup-information files of one package together. */
    private const MOST_BYTES = 67_108_864;

    public static function isOne(string $path): bool
    {
        $end = strtolower(pathinfo($path, PATHINFO_EXTENSION));

        return isset(self::STARTS[$end]);
    }

    /**
     * @throws RuntimeException with what is wrong with it, in a sentence
     */
    public static function open(string $path): PackageContents
    {
        $start = (string) @file_get_contents($path, false, null, 0, 6);
        $known = array_filter(self::STARTS, static fn (string $bytes): bool => str_starts_with($start, $bytes));
        if ($known === []) {
            throw new RuntimeException('it is no archive, whatever its name says');
        }
        $tree = new SevenZipTree($path, '*');
        try {
            [$files, $setup, $bytes] = self::listed($tree);
        } catch (ListingFailed $e) {
            throw new RuntimeException('it could not be listed: '.lcfirst($e->getMessage()));
        }
        if ($files === []) {
            throw new RuntimeException('it is damaged, or nothing is in it');
        }

        return new PackageContents(self::taken($tree, $setup, $bytes), $files);
    }

    /**
     * @return array{list<string>, list<string>, int} all files, the setup-information files, the bytes of these
     *
     * @throws ListingFailed
     */
    private static function listed(SevenZipTree $tree): array
    {
        $files = $setup = [];
        $bytes = 0;
        foreach ($tree->entries() as $entry) {
            if ($entry['directory'] || $entry['link']) {
                continue;
            }
            if (count($files) >= self::MOST_FILES) {
                throw new RuntimeException('it holds more than 20 000 files, which no driver package does');
            }
            $files[] = $entry['path'];
            if (strtolower(pathinfo($entry['path'], PATHINFO_EXTENSION)) === 'inf') {
                $setup[] = $entry['path'];
                $bytes += $entry['bytes'];
            }
        }
        if (count($setup) > self::MOST_SETUP_FILES || $bytes > self::MOST_BYTES) {
            throw new RuntimeException('its setup-information files are more than 400, or more than 64 MiB');
        }

        return [$files, $setup, $bytes];
    }

    /**
     * @param  list<string>  $setup
     * @return array<string, string>
     */
    private static function taken(SevenZipTree $tree, array $setup, int $bytes): array
    {
        if ($setup === []) {
            return [];
        }
        $folder = sys_get_temp_dir().'/cobblestone-package-'.bin2hex(random_bytes(8));
        mkdir($folder, 0700);
        $folder = (string) realpath($folder);
        try {
            // The stated sizes may lie: no file becomes larger than they are together.
            $tree->extract($setup, $folder, $bytes);
            $taken = [];
            foreach ($setup as $path) {
                $file = realpath("{$folder}/{$path}");
                if ($file !== false && str_starts_with($file, $folder.'/') && is_file($file)) {
                    $taken[$path] = (string) file_get_contents($file, false, null, 0, SetupText::LONGEST + 1);
                }
            }

            return $taken;
        } finally {
            File::deleteDirectory($folder);
        }
    }
}
