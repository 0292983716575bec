<?php

use App\Models\ShelfFile;

function buildOn(string $slug, string $way = 'copied-gpt', string $serial = 'A9C2'): Illuminate\Testing\TestResponse
{
    $file = ShelfFile::query()->firstOrFail();

    return test()
        ->from("/shelf/{$file->id}/ways?stick={$slug}")
        ->post("/shelf/{$file->id}/builds", ['stick' => $slug, 'way' => $way, 'serial' => $serial]);
}
