<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $kind
 * @property string $slug
 * @property string $name
 * @property array<string, mixed> $document
 */
final class CatalogueEntry extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'array'];
    }
}
