<?php

use Cobblestone\Text\Visible;

it('writes out signs that steer how text is shown, and leaves all others alone', function (
    string $text,
    string $shown,
) {
    expect(Visible::of($text))->toBe($shown);
})->with([
    'plain' => ['plain text, 64.0 GB', 'plain text, 64.0 GB'],
    'empty' => ['', ''],
    'lines' => ["two\nlines\tand more\r\n", "two\nlines\tand more\r\n"],
    'letters of all kinds' => ['é ß 木 🙂 naïve', 'é ß 木 🙂 naïve'],
    'a wide space' => ["\u{A0}wide", "\u{A0}wide"],
    'a right-to-left override' => ["report\u{202E}fdp.exe", 'report⟨U+202E⟩fdp.exe'],
    'isolates' => ["\u{2066}a\u{2069}", '⟨U+2066⟩a⟨U+2069⟩'],
    'a mark' => ["\u{200F}", '⟨U+200F⟩'],
    'a zero-width space' => ["a\u{200B}b", 'a⟨U+200B⟩b'],
    'a byte order mark' => ["\u{FEFF}a", '⟨U+FEFF⟩a'],
    'a line separator' => ["a\u{2028}b", 'a⟨U+2028⟩b'],
    'an Arabic mark' => ["\u{61C}", '⟨U+061C⟩'],
    'a tag' => ["a\u{E0041}", 'a⟨U+E0041⟩'],
    'NUL' => ["a\0b", 'a⟨U+0000⟩b'],
    'an escape' => ["\x1B[2J", '⟨U+001B⟩[2J'],
    'delete' => ["\x7F", '⟨U+007F⟩'],
    'a next-line' => ["\u{85}", '⟨U+0085⟩'],
    'half a letter' => ["half \xC3", 'half ?'],
]);

it('keeps a name on one line', function () {
    expect(Visible::line("a\nb\r\tc\u{202E}"))
        ->toBe('a⟨U+000A⟩b⟨U+000D⟩⟨U+0009⟩c⟨U+202E⟩')
        ->and(Visible::line('plain'))
        ->toBe('plain');
});
