<?php

namespace App\Catalogue;

use App\Documents\YamlDocument;
use App\Models\CatalogueEntry;
use Cobblestone\Catalogue\Catalogue;
use Illuminate\Support\Facades\DB;

/** The catalogue in the database: replaced whole or not at all. */
final class CatalogueStore
{
    public function __construct(private readonly CompiledCatalogue $compiled)
    {
    }

    /**
     * Packages that came as archives stay: they lie on the shelf, and no folder of catalogue files holds them.
     *
     * @param  array<string, array<string, array<string, mixed>>>  $entries kind => id => document
     */
    public function replace(array $entries): void
    {
        $this->compiled->askAnew();
        DB::transaction(function () use ($entries): void {
            $shelved = CatalogueEntry::query()->where('kind', 'drivers')->whereNotNull('document->file')->get();
            foreach ($shelved as $kept) {
                $entries['drivers'][$kept->slug] ??= $kept->document;
            }
            CatalogueEntry::query()->delete();
            $rows = [];
            foreach ($entries as $kind => $documents) {
                foreach ($documents as $slug => $document) {
                    $rows[] = [
                        'kind' => $kind,
                        'slug' => $slug,
                        'name' => trim(($document['maker'] ?? '').' '.$document['name']),
                        'document' => json_encode($document, JSON_THROW_ON_ERROR),
                        'created_at' => now(),
                        'updated_at' => now(),
                    ];
                }
            }
            foreach (array_chunk($rows, 200) as $some) {
                CatalogueEntry::query()->insert($some);
            }
        });
    }

    /** @param  array<string, mixed>  $document  that its schema accepts, of an entry that is not there yet */
    public function add(string $kind, array $document): void
    {
        $this->compiled->askAnew();
        CatalogueEntry::query()->create([
            'kind' => $kind,
            'slug' => $document['id'],
            'name' => $document['name'],
            'document' => $document,
        ]);
    }

    /** An entry was changed by whoever holds it. */
    public function askAnew(): void
    {
        $this->compiled->askAnew();
    }

    public function remove(string $kind, string $slug): void
    {
        $this->compiled->askAnew();
        CatalogueEntry::query()->where('kind', $kind)->where('slug', $slug)->delete();
    }

    /** @return array<string, array<string, mixed>> the documents of one kind */
    public function kind(string $kind): array
    {
        $documents = $this->compiled->documents()[$kind] ?? [];
        ksort($documents);

        return $documents;
    }

    public function catalogue(): Catalogue
    {
        return new Catalogue($this->compiled->documents());
    }

    /** @return array<string, array<string, mixed>> what was written */
    public function export(string $path): array
    {
        $entries = [];
        foreach (Catalogue::KINDS as $kind) {
            foreach ($this->catalogue()->all($kind) as $slug => $document) {
                is_dir("{$path}/{$kind}") || mkdir("{$path}/{$kind}", 0o775, true);
                file_put_contents(
                    "{$path}/{$kind}/{$slug}.yaml",
                    YamlDocument::text(
                        $kind === 'systems' ? AliasFiles::apart($path, $slug, $document) : $document,
                        "{$kind}/{$slug}.yaml",
                    ),
                );
                $entries[$kind][$slug] = $document;
            }
        }

        return $entries;
    }
}
