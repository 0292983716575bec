<?php

namespace App\Catalogue;

use App\Documents\DocumentFault;
use App\Documents\SchemaCheck;
use App\Documents\Schemas;
use App\Documents\YamlDocument;
use Cobblestone\Catalogue\Catalogue;

/** A catalogue as YAML files in folders; every fault is named with file, path and reason. */
final class CatalogueFolder
{
    private const FILE_LIMIT = 300_000;

    /** @var array<string, array<string, array<string, mixed>>> */
    private array $entries = [];

    /** @var list<string> */
    private array $faults = [];

    private function __construct(private readonly string $path)
    {
    }

    /** As it was read last, where it is the shop's own and not a byte of it has changed since. */
    public static function read(string $path): self
    {
        if (! KeptFolder::isKept($path)) {
            return self::readAnew($path);
        }
        $kept = KeptFolder::entries($path);
        if ($kept !== null) {
            $folder = new self(rtrim($path, '/'));
            $folder->entries = $kept;

            return $folder;
        }
        $folder = self::readAnew($path);
        if ($folder->faults === []) {
            KeptFolder::keep($path, $folder->entries);
        }

        return $folder;
    }

    /** Every file of it, and every check. */
    public static function readAnew(string $path): self
    {
        $folder = new self(rtrim($path, '/'));
        if (! is_dir($path)) {
            $folder->faults[] = "{$path}: there is no such folder.";

            return $folder;
        }
        foreach (Catalogue::KINDS as $kind) {
            $folder->readKind($kind);
        }
        [$systems, $faults] = AliasFiles::read($folder->path, $folder->entries['systems'] ?? []);
        if ($systems !== []) {
            $folder->entries['systems'] = $systems;
        }
        array_push($folder->faults, ...$faults);
        array_push($folder->faults, ...References::faults($folder->entries));

        return $folder;
    }

    /** @return list<string> */
    public function faults(): array
    {
        return $this->faults;
    }

    /** @return array<string, array<string, array<string, mixed>>> */
    public function entries(): array
    {
        return $this->entries;
    }

    /** @throws DocumentFault where any file has a fault */
    public function catalogue(): Catalogue
    {
        return $this->faults === [] ? new Catalogue($this->entries) : throw DocumentFault::of($this->faults);
    }

    private function readKind(string $kind): void
    {
        $files = glob("{$this->path}/{$kind}/*.{yaml,yml}", GLOB_BRACE) ?: [];
        sort($files);
        foreach ($files as $file) {
            $shown = $kind.'/'.basename($file);
            try {
                $document = YamlDocument::fromFile($file, self::FILE_LIMIT);
            } catch (DocumentFault $e) {
                array_push(
                    $this->faults,
                    ...array_map(fn (string $fault): string => str_replace($file, $shown, $fault), $e->faults),
                );

                continue;
            }
            $faults = SchemaCheck::faults($document, Schemas::ofCatalogue($kind));
            if (
                $faults === [] &&
                basename($file) !== $document['id'].'.yaml' &&
                basename($file) !== $document['id'].'.yml'
            ) {
                $faults[] = "id: \"{$document['id']}\" and the file's name must be the same.";
            }
            array_push($this->faults, ...array_map(fn (string $fault): string => "{$shown}: {$fault}", $faults));
            if ($faults === []) {
                $this->entries[$kind][$document['id']] = $document;
            }
        }
    }
}
