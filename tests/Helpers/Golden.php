<?php

use Tests\Support\Demo;

/** Whole documents, word for word, below tests/fixtures; read before they are accepted with UPDATE_GOLDEN=1. */
function holdsGolden(string $name, mixed $found): void
{
    $file = Demo::root()."/tests/fixtures/{$name}.json";
    $text = json_encode(
        $found,
        JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
    )."\n";
    if (getenv('UPDATE_GOLDEN') === '1') {
        is_dir(dirname($file)) || mkdir(dirname($file));
        file_put_contents($file, $text);
    }
    expect(explode("\n", $text))->toBe(explode("\n", (string) file_get_contents($file)));
}
