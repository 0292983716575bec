<?php

use Tests\Support\Golden;

/** Whole documents, word for word, below tests/fixtures; read before they are accepted with UPDATE_GOLDEN=1. */
function holdsGolden(string $name, mixed $found): void
{
    expect(Golden::differences($name, $found))->toBe([]);
}
