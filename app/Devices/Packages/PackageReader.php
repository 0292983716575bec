<?php

declare(strict_types=1);

namespace App\Devices\Packages;

use Cobblestone\Drivers\Matching\PackageOffer;
use Cobblestone\Drivers\Setup\SetupInformation;
use Cobblestone\Drivers\Setup\SetupReader;

/** What a package claims, by its own setup-information files (rule D2). */
final class PackageReader
{
    /** @return array<string, array{setup: SetupInformation, signed: bool}> path => what each setup file says */
    public static function setups(PackageContents $contents): array
    {
        $setups = [];
        foreach ($contents->setupFiles as $path => $bytes) {
            $setup = SetupReader::read($bytes);
            $beside = array_filter(
                $setup->catalogues,
                static fn (string $name): bool => $contents->hasBeside($path, $name),
            );
            $setups[$path] = ['setup' => $setup, 'signed' => $beside !== []];
        }

        return $setups;
    }

    /**
     * @param  string  $source  where on the shelf it lies
     * @return array{list<PackageOffer>, list<Unreadable>} one offer for each of its setup-information files
     */
    public static function offers(PackageContents $contents, string $source): array
    {
        $offers = $unreadable = [];
        foreach (self::setups($contents) as $path => ['setup' => $setup, 'signed' => $signed]) {
            foreach ($setup->faults as $fault) {
                $unreadable[] = new Unreadable($source, "{$path}, {$fault}");
            }
            if ($setup->claims !== []) {
                $offers[] = PackageOffer::ofSetup($setup, self::id($source), $source, $path, $signed);
            } elseif ($setup->faults === []) {
                $unreadable[] = new Unreadable($source, "{$path}: it claims no device");
            }
        }
        if ($contents->setupFiles === []) {
            $unreadable[] = new Unreadable($source, 'no setup-information file is in it');
        }

        return [$offers, $unreadable];
    }

    /** The name of a file or folder as an identifier of a package. */
    public static function id(string $source): string
    {
        $name = PackageArchive::isOne($source) || str_ends_with(strtolower($source), '.inf')
            ? pathinfo($source, PATHINFO_FILENAME)
            : basename($source);
        $id = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($name)), '-');

        return $id === '' ? 'package' : substr($id, 0, 61);
    }
}
