<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SetupFile;
use Cobblestone\Catalogue\SetupFileClaim;
use Cobblestone\Text\Counted;

/** A driver package in a list, and whole. */
final readonly class PackageLine
{
    /** Claims of one setup file that a page shows; the rest is counted. */
    private const SHOWN = 200;

    public function __construct(public DriverPackage $package)
    {
    }

    public function holds(string $query): bool
    {
        $text = implode(' ', [
            $this->package->id, $this->package->name, $this->package->family, $this->package->version,
            $this->package->source, $this->package->file, ...$this->package->claims, ...$this->package->systems,
        ]);

        return str_contains(mb_strtolower($text), $query);
    }

    /** "3 devices, in 2 setup files"; "1 device, by its manifest" */
    public function claims(): string
    {
        $devices = Counted::of(count($this->package->claims), 'device');
        $files = count($this->package->setupFiles);

        return $files === 0 ? "{$devices}, by a manifest" : "{$devices}, in ".Counted::of($files, 'setup file');
    }

    /** "signed", "not signed", "partly signed" */
    public function signature(): string
    {
        $signed = array_map(static fn (SetupFile $file): bool => $file->signed, $this->package->setupFiles);

        return match (true) {
            $signed === [] => $this->package->unsigned ? 'not signed' : 'signed, by its manifest',
            ! in_array(false, $signed, true) => 'signed',
            in_array(true, $signed, true) => 'partly signed',
            default => 'not signed',
        };
    }

    public function systems(): string
    {
        return $this->package->systems === [] ? 'no system here' : implode(', ', $this->package->systems);
    }

    /** @return list<array{file: SetupFile, claims: list<SetupFileClaim>, more: string}> */
    public function setupFiles(): array
    {
        return array_map(static fn (SetupFile $file): array => [
            'file' => $file,
            'claims' => array_slice($file->claims, 0, self::SHOWN),
            'more' => count($file->claims) > self::SHOWN
                ? 'and '.(count($file->claims) - self::SHOWN).' more'
                : '',
        ], $this->package->setupFiles);
    }
}
