<?php

declare(strict_types=1);

namespace App\Actions;

use App\Catalogue\CatalogueStore;
use App\Devices\Inspection\SevenZipTree;
use App\Models\Job;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Findings\Findings;
use Cobblestone\Findings\PegFound;
use Cobblestone\Media\Inspection\ListingFailed;
use Illuminate\Support\Facades\File;
use RuntimeException;
use SplFileInfo;

/**
 * Lays the packages that a job's system needs before it is online into a folder of their own, unpacked, so that the
 * stick's build takes them along (rules D5, M8).
 */
final class LayDrivers
{
    /** Bytes that may come out of the archives of one job together. */
    private const MOST_BYTES = 4_294_967_296;

    private const MOST_FILES = 20_000;

    public function __construct(private readonly CatalogueStore $catalogue)
    {
    }

    public static function folderOf(Job $job): string
    {
        return sprintf('job %04d', $job->id);
    }

    /** Whether any of them lies on this shelf as an archive. */
    public function canLay(Job $job): bool
    {
        return array_filter($this->carried($job), static fn (DriverPackage $one): bool => $one->file !== null) !== [];
    }

    /** @return list<DriverPackage> those that travel on the stick of this job */
    public function carried(Job $job): array
    {
        $pegs = array_filter(
            Findings::of($job->currentPlan()->typed())->drivers,
            static fn (PegFound $peg): bool => $peg->hangs === 'carried',
        );
        $ids = array_unique(array_map(static fn (PegFound $peg): string => $peg->packageId, $pegs));

        return array_values(array_filter(
            $this->catalogue->catalogue()->drivers(),
            static fn (DriverPackage $package): bool => in_array($package->id, $ids, true),
        ));
    }

    /**
     * @return array{files: int, bytes: int, missing: list<string>} what lies there now, and which are no archive here
     *
     * @throws RuntimeException with what is wrong; the folder is as it was then
     */
    public function handle(Job $job): array
    {
        $missing = [];
        $made = config('cobblestone.drivers').'/.'.bin2hex(random_bytes(6));
        File::ensureDirectoryExists($made);
        try {
            foreach ($this->carried($job) as $package) {
                $archive = $package->file === null ? null : config('cobblestone.packages')."/{$package->file}";
                if ($archive === null || ! is_file($archive)) {
                    $missing[] = $package->title();
                } else {
                    self::unpack($package, $archive, "{$made}/{$package->id}");
                }
            }
            $files = File::allFiles($made, true);
            $bytes = array_sum(array_map(static fn (SplFileInfo $file): int => (int) $file->getSize(), $files));
            $target = config('cobblestone.drivers').'/'.self::folderOf($job);
            File::deleteDirectory($target);
            if ($files !== [] && ! rename($made, $target)) {
                throw new RuntimeException('The folder of drivers may not be written.');
            }

            return ['files' => count($files), 'bytes' => $bytes, 'missing' => $missing];
        } finally {
            File::deleteDirectory($made);
        }
    }

    private static function unpack(DriverPackage $package, string $archive, string $folder): void
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
        File::ensureDirectoryExists($folder);
        $tree->extract($paths, (string) realpath($folder), $bytes);
    }
}
