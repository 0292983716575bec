<?php

/**
 * A PE file byte by byte.
 *
 * @param  list<array{string, int, int}>  $sections  name, place in the file, bytes
 */
function peBytes(
    bool $wide = true,
    array $sections = [['.text', 512, 512]],
    int $directories = 16,
    int $headers = 512,
    string $tail = '',
    array $security = [0, 0],
    int $machine = 0x8664,
    int $subsystem = 10,
): string {
    $optional =
        pack('v', $wide ? 0x20B : 0x10B).
        str_repeat("\x11", 58).
        pack('V', $headers).
        pack('V', 0xC0FFEE).
        pack('v', $subsystem);
    $optional = str_pad($optional, ($wide ? 112 : 96) - 4, "\x22").pack('V', $directories);
    $optional .= str_pad(str_repeat("\x33", 32).pack('VV', ...$security), 8 * max($directories, 5), "\x44");
    $table = implode(
        '',
        array_map(
            fn ($section) => str_pad($section[0], 8, "\0").
                pack('V4', 0, 0, $section[2], $section[1]).
                str_repeat("\x55", 16),
            $sections,
        ),
    );
    $bytes =
        'MZ'.
        str_repeat("\x66", 58).
        pack('V', 64).
        "PE\0\0".
        pack('vvVVVvv', $machine, count($sections), 0, 0, 0, strlen($optional), 0x206).
        $optional.
        $table;
    $bytes = str_pad($bytes, 512, "\x77");
    foreach ($sections as [$name, $at, $length]) {
        $bytes = str_pad($bytes, max(strlen($bytes), $at + $length), $name[1]);
    }

    return $bytes.$tail;
}
