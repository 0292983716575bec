<?php

use Tests\Support\Demo;

/** What is said, word for word; read before it is accepted with UPDATE_GOLDEN=1. */
function holdsFirmwareGolden(string $name, mixed $found): void
{
    $file = Demo::root()."/tests/fixtures/firmware/{$name}.json";
    $text = json_encode(
        $found,
        JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
    )
        ."\n";
    if (getenv('UPDATE_GOLDEN') === '1') {
        is_dir(dirname($file)) || mkdir(dirname($file));
        file_put_contents($file, $text);
    }
    expect(explode("\n", $text))->toBe(explode("\n", (string) file_get_contents($file)));
}
