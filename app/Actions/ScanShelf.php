<?php

namespace App\Actions;

use App\Catalogue\CatalogueStore;
use App\Jobs\HashShelfFile;
use App\Jobs\InspectShelfFile;
use App\Models\CatalogueEntry;
use App\Models\ShelfFile;
use Illuminate\Database\UniqueConstraintViolationException;

/** Looks into the watched folder: what is new is inspected and hashed, what is gone stays on record. */
final class ScanShelf
{
    /** A file that changed in the last seconds is still being copied. */
    private const STILL_ARRIVING = 3;

    private const MOST_FILES = 2000;

    public function __construct(private readonly CatalogueStore $catalogue)
    {
    }

    /** @return int how many files are new or changed */
    public function handle(): int
    {
        $folder = (string) config('cobblestone.shelf');
        is_dir($folder) || @mkdir($folder, 0775, true);
        $known = ShelfFile::query()->get()->keyBy('name');
        $seen = [];
        $new = 0;
        clearstatcache();
        foreach (array_slice(scandir($folder) ?: [], 0, self::MOST_FILES) as $name) {
            $path = "{$folder}/{$name}";
            if ($name[0] === '.' || is_link($path) || ! is_file($path) || ! mb_check_encoding($name, 'UTF-8')) {
                continue;
            }
            [$bytes, $changed] = [(int) filesize($path), (int) filemtime($path)];
            $seen[$name] = true;
            $file = $known[$name] ?? new ShelfFile(['name' => $name, 'about' => []]);
            if (
                $file->exists &&
                $file->here &&
                (int) $file->bytes === $bytes &&
                (int) $file->changed_at === $changed
            ) {
                continue;
            }
            if (time() - $changed < self::STILL_ARRIVING) {
                continue;
            }
            $new++;
            $this->take($file, $bytes, $changed);
        }
        foreach ($known as $name => $file) {
            if ($file->here && ! isset($seen[$name])) {
                $file->update(['here' => false]);
            }
        }

        return $new;
    }

    private function take(ShelfFile $file, int $bytes, int $changed): void
    {
        $file->fill([
            'bytes' => $bytes,
            'changed_at' => $changed,
            'here' => true,
            'report' => null,
            'sha256' => null,
            'hash_state' => 'waiting',
            'hashed_bytes' => 0,
        ]);
        if ($file->slug === null) {
            $this->recognise($file);
        }
        try {
            $file->save();
        } catch (UniqueConstraintViolationException) {
            // Another look, from a page or the watcher, took it in at the same moment.
            return;
        }
        InspectShelfFile::dispatch($file->id);
        HashShelfFile::dispatch($file->id);
    }

    /**
     * A file named like one of the catalogue's, of the same size, is taken for it until its checksum says otherwise.
     */
    private function recognise(ShelfFile $file): void
    {
        $systems = $this->catalogue->kind('systems');
        foreach (CatalogueEntry::query()->where('kind', 'images')->get() as $entry) {
            $document = $entry->document;
            if (($document['file'] ?? null) === $file->name && $document['bytes'] === (int) $file->bytes) {
                $file->fill([
                    'slug' => $entry->slug,
                    'published_sha256' => $document['sha256'] ?? null,
                    'published_by' => ($document['sha256'] ?? null) === null ? null : $document['source']
                        ?? 'the catalogue',
                    'about' => array_filter([
                        'line' => $systems[$document['system']]['name'] ?? $document['system'],
                        'version' => $document['version'] ?? null,
                        'edition' => $document['edition'] ?? null,
                        'language' => $document['language'] ?? null,
                        'architecture' => $document['architecture'] ?? null,
                        'source' => $document['source'] ?? null,
                        'as_of' => $document['as_of'] ?? null,
                    ]),
                ]);
            }
        }
    }
}
