<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\WindowSource;

/** Looks for loaders where firmware tries by itself, in each file system of an image. */
final class LoaderSearch
{
    /** @var list<FoundLoader> */
    public array $found = [];

    private readonly LoaderJudge $judge;

    /** @param  string|null  $nextStage  path of the loader that the first one loads, where the catalogue knows it */
    public function __construct(
        private readonly SignatureTool $signatures,
        Signers $signers,
        private readonly ?string $nextStage,
    ) {
        $this->judge = new LoaderJudge($signatures, $signers);
    }

    /**
     * @param  bool  $isWhole  false where only the start of the image is at hand
     * @return list<string> loaders whose contents lie past what is at hand
     */
    public function inVolume(FatVolume $volume, string $where, string $place, bool $isWhole): array
    {
        $notes = [];
        $folder = $volume->find(FoundLoader::FOLDER);
        foreach ($folder?->directory ? $volume->entries($folder) : [] as $entry) {
            if (! isset(FoundLoader::NAMES[strtoupper($entry->name)]) || $entry->directory) {
                continue;
            }
            $next = $this->nextStage === null ? null : $volume->find($this->nextStage);
            $bytes = $volume->contents($entry, min($entry->size, FoundLoader::LARGEST));
            if (! $isWhole && strlen($bytes) < $entry->size) {
                $notes[] = "{$entry->name} {$place} lies past the part that was unpacked: whether it would start "
                    .'cannot be told.';

                continue;
            }
            $after = $next === null ? null : $volume->contents($next, FoundLoader::LARGEST);
            $this->found[] = $this->look(
                new LoaderFileSeen($entry->name, $where, $place, $entry->size),
                $bytes,
                $after,
            );
        }

        return $notes;
    }

    /**
     * @param  bool  $isWhole  false where only the start of the image is at hand
     * @return list<string> loaders whose contents lie past what is at hand
     */
    public function inStartImages(?ElTorito $catalogue, ByteSource $content, bool $isWhole): array
    {
        $notes = [];
        foreach ($catalogue->entries ?? [] as $entry) {
            $volume = $entry['platform'] === 'UEFI'
                ? FatVolume::open(new WindowSource($content, $entry['at'], $entry['bytes']))
                : null;
            if ($volume !== null) {
                array_push($notes, ...$this->inVolume($volume, 'el-torito', 'in the optical start image', $isWhole));
            }
        }

        return $notes;
    }

    /** @param  array<string, string>  $loaders  name => path in the tree */
    public function inTree(FileTree $tree, array $loaders): void
    {
        foreach ($loaders as $name => $path) {
            $bytes = $tree->read($path, FoundLoader::LARGEST + 1) ?? '';
            $next = $this->nextStage === null ? null : $tree->read($this->nextStage, FoundLoader::LARGEST);
            $seen = new LoaderFileSeen((string) $name, 'files', 'among the files', strlen($bytes));
            $this->found[] = $this->look($seen, $bytes, $next);
        }
    }

    /** What lies in the one file system of an image also lies among its files. */
    public function alsoAmongFiles(): void
    {
        foreach ($this->found as $loader) {
            $this->found[] = $loader->alsoIn('files', 'among the files');
        }
    }

    public function look(LoaderFileSeen $file, string $bytes, ?string $next): FoundLoader
    {
        if ($file->bytes > FoundLoader::LARGEST) {
            return FoundLoader::tooLarge($file);
        }
        $pe = PeImage::read($bytes);
        [$trust, $because] = $pe === null
            ? [null, '']
            : $this->judge->judge($bytes, $this->nextStage !== null, $next);
        $signers = $pe?->isSigned() ? $this->signatures->signers($bytes) : [];

        return FoundLoader::of($file, $pe, strlen($bytes), $trust, $because, $signers);
    }
}
