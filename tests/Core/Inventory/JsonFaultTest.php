<?php

use Cobblestone\Inventory\JsonFault;
use Cobblestone\Inventory\JsonText;
use Cobblestone\Inventory\UnreadableInventory;

it('finds the line and the words where JSON stops being JSON', function (string $text, int $line, string $near) {
    expect(JsonFault::locate($text))->toBe([$line, $near]);
})->with([
    'a bare word' => ['{"a": oops}', 1, 'oops}'],
    'on the third line' => ["{\n\"a\":\n oops}", 3, 'oops}'],
    'after a line break at the very start' => ["\n{\"a\": oops}", 2, 'oops}'],
    'closed by the wrong bracket' => ['{"a": [1}', 1, '}'],
    'closed by the other wrong bracket' => ['[{"a": 1]', 1, ']'],
    'closed inside out' => ['[{}}', 1, '}'],
    'inner before outer is right' => ['[{"a":[]}] x', 1, 'x'],
    'closed too often' => ["[]\n]", 2, ']'],
    'cut off' => ["{\"a\":\n[1,", 2, 'the end of the text'],
    'a string that does not end' => ["[\n\"abc", 2, '"abc'],
    'a break inside a string' => ["[\"a\nb\"]", 1, "\"a\nb\"]"],
    'an escaped quote does not end it' => ['["a\\"b" x]', 1, 'x]'],
    'numbers' => ['[-1.5e+3, 12E-2, 01x]', 1, 'x]'],
    'thirty characters of it' => ['['.str_repeat('é', 40), 1, str_repeat('é', 30)],
    'words' => ['[true,false,null,nil]', 1, 'nil]'],
]);

it('says what else is wrong with a text as JSON', function (string $text, string $sentence) {
    expect(fn () => JsonText::decode($text, 'lshw -json', 3))->toThrow(UnreadableInventory::class, $sentence);
})->with([
    'a single value' => [
        '  5 ',
        'Line 1 is not JSON (a single value) near "5". Paste the whole output of "lshw -json", from the first '
            .'bracket to the last.',
    ],
    'blank' => [" \n", 'Nothing was pasted'],
    'no text' => ["[\"\xff\"]", 'not readable as UTF-8. Paste the output of "lshw -json" as text'],
    'too deep' => ['[[[[1]]]]', 'maximum stack depth'],
    'too much' => [
        '['.str_repeat(' ', 5_600_000),
        'The pasted text is 5.6 MB; the output of lshw is never more than 4.0 MB. Paste only what "lshw -json" '
            .'printed.',
    ],
]);

it('keeps a number that is too large as its digits', function () {
    expect(JsonText::decode('{"size": 99999999999999999999}', 'x'))->toBe(['size' => '99999999999999999999']);
});

it('takes a text of exactly the limit', function () {
    expect(JsonText::decode('[]'.str_repeat(' ', JsonText::LIMIT - 2), 'x'))->toBe([]);
});

it('lists what can be read where nothing fits', function () {
    expect(UnreadableInventory::unrecognised(['lsblk -J -b', 'lsusb'])->getMessage())->toBe(
        'This is not the output of a tool that can be read here. Readable are: lsblk -J -b, lsusb, and the bundle '
            .'that cobblestone-collect makes.',
    );
});
