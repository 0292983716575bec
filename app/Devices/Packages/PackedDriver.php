<?php

declare(strict_types=1);

namespace App\Devices\Packages;

use App\Devices\Inspection\SevenZipTree;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Media\Inspection\ListingFailed;
use Illuminate\Support\Facades\File;
use RuntimeException;

/** The archive of one package of the shelf: proven to be what was shelved, and listed before anything comes out. */
final readonly class PackedDriver
{
    /** Bytes that may come out of one archive. */
    private const MOST_BYTES = 4_294_967_296;

    private const MOST_FILES = 20_000;

    /**
     * @param  list<string>  $paths  of its files
     * @param  int  $bytes  of them together, as they are listed
     */
    private function __construct(
        public DriverPackage $package,
        private SevenZipTree $tree,
        private array $paths,
        public int $bytes,
    ) {
    }

    /** @throws RuntimeException where it is not what was shelved, cannot be listed, or holds too much */
    public static function open(DriverPackage $package, string $archive): self
    {
        if (hash_file('sha256', $archive) !== $package->sha256) {
            throw new RuntimeException("{$package->title()} is not what was shelved: its checksum differs.");
        }
        $paths = [];
        $bytes = 0;
        $tree = new SevenZipTree($archive, '*');
        try {
            foreach ($tree->entries() as $entry) {
                if (! $entry['directory'] && ! $entry['link']) {
                    $paths[] = $entry['path'];
                    $bytes += $entry['bytes'];
                }
            }
        } catch (ListingFailed $e) {
            throw new RuntimeException("{$package->title()} cannot be listed: {$e->getMessage()}");
        }
        if (count($paths) > self::MOST_FILES || $bytes > self::MOST_BYTES) {
            throw new RuntimeException("{$package->title()} holds more than a driver package does.");
        }

        return new self($package, $tree, $paths, $bytes);
    }

    /**
     * Into a folder of its own below the one that is given.
     *
     * @param  callable(): void  $meanwhile  asked again and again; what it throws ends the unpacking
     */
    public function unpack(string $below, callable $meanwhile): void
    {
        $folder = "{$below}/{$this->package->id}";
        File::ensureDirectoryExists($folder);
        $this->tree->extract($this->paths, (string) realpath($folder), $this->bytes, $meanwhile);
    }
}
