<?php

declare(strict_types=1);

namespace App\Documents;

/** Where the schemas of documents stand. */
final class Schemas
{
    /** @param  string  $kind  of an entry of the catalogue, such as drivers */
    public static function ofCatalogue(string $kind): string
    {
        return base_path("catalogue/schema/{$kind}.schema.json");
    }
}
