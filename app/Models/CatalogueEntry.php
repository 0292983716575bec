<?php

namespace App\Models;

/**
 * @property string $kind
 * @property string $slug
 * @property string $name
 * @property array<string, mixed> $document
 */
final class CatalogueEntry extends Record
{
    protected $table = 'catalogue_entries';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'array'];
    }

    /** The day that its document is of, as it writes it. */
    public function dated(): string
    {
        $day = $this->document['as_of'] ?? $this->document['date'] ?? '';

        return is_scalar($day) ? (string) $day : '';
    }
}
