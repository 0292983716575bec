<?php

use Cobblestone\Text\Visible;

it('writes out signs that steer how text is shown, and leaves all others alone', function (string $text, string $shown) {
    expect(Visible::of($text))->toBe($shown);
})->with([
    ['plain text, 64.0 GB', 'plain text, 64.0 GB'], ['', ''], ["two\nlines\tand more\r\n", "two\nlines\tand more\r\n"], ['é ß 木 🙂 naïve', 'é ß 木 🙂 naïve'], ["\u{A0}wide", "\u{A0}wide"],
    ["report\u{202E}fdp.exe", 'report⟨U+202E⟩fdp.exe'], ["\u{2066}a\u{2069}", '⟨U+2066⟩a⟨U+2069⟩'], ["\u{200F}", '⟨U+200F⟩'], ["a\u{200B}b", 'a⟨U+200B⟩b'], ["\u{FEFF}a", '⟨U+FEFF⟩a'], ["a\u{2028}b", 'a⟨U+2028⟩b'], ["\u{61C}", '⟨U+061C⟩'], ["a\u{E0041}", 'a⟨U+E0041⟩'],
    ["a\0b", 'a⟨U+0000⟩b'], ["\x1B[2J", '⟨U+001B⟩[2J'], ["\x7F", '⟨U+007F⟩'], ["\u{85}", '⟨U+0085⟩'], ["half \xC3", 'half ?'],
]);

it('keeps a name on one line', function () {
    expect(Visible::line("a\nb\r\tc\u{202E}"))->toBe('a⟨U+000A⟩b⟨U+000D⟩⟨U+0009⟩c⟨U+202E⟩')->and(Visible::line('plain'))->toBe('plain');
});
