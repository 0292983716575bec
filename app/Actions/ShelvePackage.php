<?php

declare(strict_types=1);

namespace App\Actions;

use App\Catalogue\CatalogueStore;
use App\Devices\Packages\PackageArchive;
use App\Devices\Packages\PackageReader;
use App\Documents\SchemaCheck;
use App\Documents\Schemas;
use App\Models\BenchEvent;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\Setup\PackageDocument;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** Takes an archive of drivers onto the shelf: reads what it claims, keeps it with its checksum (rule D2). */
final class ShelvePackage
{
    /** Bytes of an archive; a larger one is split by its maker. */
    public const LARGEST = 2_147_483_648;

    public function __construct(private readonly CatalogueStore $catalogue)
    {
    }

    /**
     * @param  string  $path  of the archive as it came; it is copied onto the shelf
     * @param  string  $source  where it came from, in words
     * @param  array<string, mixed>  $said  what a person says of it: models it is locked to, restart and the like
     * @return array{DriverPackage, list<string>} and what in it could not be read
     *
     * @throws RuntimeException with what is wrong with it; nothing is kept then
     */
    public function handle(string $path, string $name, string $source, ?int $user, array $said = []): array
    {
        $name = self::fileName($name);
        $folder = (string) config('cobblestone.packages');
        is_dir($folder) || @mkdir($folder, 0775, true);
        if (is_file("{$folder}/{$name}")) {
            throw new RuntimeException("a package of the name {$name} is on the shelf already");
        }
        $setups = PackageReader::setups(PackageArchive::open($path));
        $faults = [];
        foreach ($setups as $file => ['setup' => $setup]) {
            foreach ($setup->faults as $fault) {
                $faults[] = "{$file}, {$fault}";
            }
        }
        $claiming = array_filter($setups, static fn (array $of): bool => $of['setup']->claims !== []);
        if ($claiming === []) {
            throw new RuntimeException($setups === []
                ? 'no setup-information file is in it, so nothing says which devices it is for'
                : 'its setup-information files claim no device: '.implode('; ', array_slice($faults, 0, 3)));
        }
        $document = [...PackageDocument::of($claiming, [
            'id' => $this->id($name),
            'file' => $name,
            'bytes' => (int) filesize($path),
            'sha256' => (string) hash_file('sha256', $path),
            'source' => $source,
            'day' => now()->format('Y-m-d'),
        ], $this->catalogue->catalogue()->systems()), ...$said];
        $wrong = SchemaCheck::faults($document, Schemas::ofCatalogue('drivers'));
        if ($wrong !== []) {
            throw new RuntimeException(implode(' ', array_slice($wrong, 0, 3)));
        }

        return [$this->keep($path, "{$folder}/{$name}", $document, $user), $faults];
    }

    /** @param  array<string, mixed>  $document */
    private function keep(string $path, string $onShelf, array $document, ?int $user): DriverPackage
    {
        if (! @copy($path, $onShelf.'.part') || ! @rename($onShelf.'.part', $onShelf)) {
            @unlink($onShelf.'.part');
            throw new RuntimeException('the bench computer\'s folder for packages is full or may not be written');
        }
        try {
            DB::transaction(function () use ($document, $user): void {
                $this->catalogue->add('drivers', $document);
                BenchEvent::note('package-shelved', $document['id'], ['sha256' => $document['sha256']], $user);
            });
        } catch (\Throwable $e) {
            @unlink($onShelf);
            throw $e;
        }

        return DriverPackage::fromArray($document);
    }

    private function id(string $name): string
    {
        $stem = substr(PackageReader::id($name), 0, 56);
        $taken = $this->catalogue->kind('drivers');
        for ($id = $stem, $n = 2; isset($taken[$id]); $n++) {
            $id = "{$stem}-{$n}";
        }

        return $id;
    }

    /** Without folders, control characters and what hides a file. */
    private static function fileName(string $name): string
    {
        $name = trim((string) preg_replace('/[\x00-\x1F\x7F\/\\\\]/', '', mb_scrub($name)), ' .');
        if ($name === '' || strlen($name) > 200) {
            throw new RuntimeException('its name is empty or longer than 200 bytes');
        }

        return PackageArchive::isOne($name)
            ? $name
            : throw new RuntimeException('it is no archive that drivers come in: zip, 7z, cab, exe');
    }
}
