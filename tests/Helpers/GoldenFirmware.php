<?php

/** What is said of firmware, word for word. */
function holdsFirmwareGolden(string $name, mixed $found): void
{
    holdsGolden("firmware/{$name}", $found);
}
