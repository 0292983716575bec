<?php

use Cobblestone\Boot\Emulated\ConsoleText;

it('reads what a machine printed as text', function (string $bytes, string $text) {
    expect(ConsoleText::plain($bytes))->toBe($text);
})->with([
    'plain' => ["one\ntwo", "one\ntwo"],
    'lines of a terminal' => ["one\r\ntwo\rthree", "one\ntwo\nthree"],
    'colours' => ["\e[0m\e[37m\e[40mBdsDxe\e[1;31m: x\e[0m", 'BdsDxe: x'],
    'a cursor put to the beginning' => ["one\e[02;01Htwo\e[2Jthree", "one\ntwo\nthree"],
    'a cursor moved within a line' => ["COBBLE-S\e[05;09HTARTED", 'COBBLE-STARTED'],
    'bells and other signs' => ["a\x07\x00\x1Bcb\x7F", 'ab'],
    'nothing but room' => ["\n\n\e[2J\r\n  ", ''],
    'much room' => ["one  \n\n\n\n\ntwo", "one\n\ntwo"],
    'no text' => ["a\xFFb", 'a?b'],
]);
