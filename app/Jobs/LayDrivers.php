<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Catalogue\CatalogueStore;
use App\Devices\DriverFolders;
use App\Devices\Packages\PackedDriver;
use App\Models\Job;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\PegFound;
use Cobblestone\Findings\Findings;
use Illuminate\Support\Facades\File;
use RuntimeException;
use SplFileInfo;

/**
 * Lays the packages that a job's system needs before it is online into a folder of their own, unpacked, so that the
 * stick's build takes them along (rules D5, M8).
 */
final class LayDrivers
{
    public function __construct(private readonly CatalogueStore $catalogue)
    {
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
     * @param  (callable(string, int, int): void)|null  $tell  which package, bytes that lie there, bytes of all; what
     *     it throws ends the unpacking
     * @return array{files: int, bytes: int, missing: list<string>} what lies there now, and which are no archive here
     *
     * @throws RuntimeException with what is wrong; the folder is as it was then
     */
    public function handle(Job $job, ?callable $tell = null): array
    {
        $tell ??= static function (): void {
        };
        $made = config('cobblestone.drivers').'/'.bin2hex(random_bytes(6));
        File::ensureDirectoryExists($made);
        try {
            [$archives, $missing] = $this->archives($job, $tell);
            $all = array_sum(array_map(static fn (PackedDriver $one): int => $one->bytes, $archives));
            foreach ($archives as $archive) {
                $archive->unpack(
                    $made,
                    static fn () => $tell($archive->package->title(), self::lying($made)['bytes'], $all),
                );
            }
            $lying = self::lying($made);
            $tell('', $lying['bytes'], $all);
            $target = config('cobblestone.drivers').'/'.DriverFolders::ofJob($job->id);
            File::deleteDirectory($target);
            if ($lying['files'] > 0 && ! rename($made, $target)) {
                throw new RuntimeException('The folder of drivers may not be written.');
            }

            return [...$lying, 'missing' => $missing];
        } finally {
            File::deleteDirectory($made);
        }
    }

    /**
     * @param  callable(string, int, int): void  $tell
     * @return array{list<PackedDriver>, list<string>} those that lie here, and the names of those that do not
     */
    private function archives(Job $job, callable $tell): array
    {
        $archives = $missing = [];
        foreach ($this->carried($job) as $package) {
            $path = $package->file === null ? null : config('cobblestone.packages')."/{$package->file}";
            if ($path === null || ! is_file($path)) {
                $missing[] = $package->title();
            } else {
                $tell($package->title(), 0, 0);
                $archives[] = PackedDriver::open($package, $path);
            }
        }

        return [$archives, $missing];
    }

    /** @return array{files: int, bytes: int} */
    private static function lying(string $folder): array
    {
        $files = File::allFiles($folder, true);

        return [
            'files' => count($files),
            // What is being written may be gone again when it is looked at.
            'bytes' => array_sum(array_map(
                static fn (SplFileInfo $one): int => (int) @filesize((string) $one),
                $files,
            )),
        ];
    }
}
