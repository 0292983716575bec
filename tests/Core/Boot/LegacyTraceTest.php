<?php

use Cobblestone\Boot\Medium\LegacyTrace;
use Cobblestone\Boot\Medium\Registers;

/** @return array{end: string, printed: string} */
function traced(string $code): array
{
    return LegacyTrace::of(str_pad($code, 510, "\x90")."\x55\xAA");
}

const OUT = "\xB4\x0E\xCD\x10";

it('follows code up to what settles it', function (string $code, string $end, string $printed = '') {
    expect(traced($code))->toBe(['end' => $end, 'printed' => $printed]);
})->with([
    'halts' => ["\xF4", 'stays'],
    'goes round for ever' => ["\xEB\xFE", 'stays'],
    'goes far back for ever' => ["\x90\xE9\xFC\xFF", 'stays'],
    'gives back' => ["\xFA\xFC\xFB\xFD\xCD\x18", 'returns'],
    'waits for a key' => ["\x31\xC0\xCD\x16", 'waits'],
    'starts over' => ["\xCD\x19", 'restarts'],
    'reads the disk' => ["\xCD\x13", 'disk'],
    'calls something else' => ["\xCD\x15", 'unknown'],
    'an instruction that is not known' => ["\x66\x90", 'unknown'],
    'prints a sign' => ["\xB0A".OUT."\xF4", 'stays', 'A'],
    'prints two' => ["\xB0A".OUT."\xB0B".OUT."\xCD\x18", 'returns', 'AB'],
    'sets the screen, which is said, and no sign' => ["\xB4\x00\xCD\x10\xF4", 'stays', '?'],
    'writes to the serial port' => ["\xCD\x14\xF4", 'stays', '?'],
    'writes to a port, a byte' => ["\xEE\xF4", 'stays', '?'],
    'writes to a port, a word' => ["\xEF\xF4", 'stays', '?'],
    'moves between segments' => ["\x8E\xD8\x8C\xC8\xCD\x18", 'returns'],
    'moves a segment into memory' => ["\x8E\x06\x00\x7C\xCD\x18", 'unknown'],
    'clears a register and jumps' => ["\x33\xDB\x74\x02\xCD\x19\xCD\x18", 'returns'],
    'clears half a register and jumps' => ["\x30\xC9\x74\x02\xCD\x19\xCD\x18", 'returns'],
    'clears the other half and does not jump' => ["\x32\xE4\x75\x02\xCD\x18\xCD\x19", 'returns'],
    'one register against another' => ["\x31\xD8\xCD\x18", 'unknown'],
    'a half against memory' => ["\x30\x07\xCD\x18", 'unknown'],
    'compares, and it is equal' => ["\xB0\x41\x3C\x41\x74\x02\xCD\x19\xCD\x18", 'returns'],
    'compares, and it is not' => ["\xB0\x41\x3C\x42\x75\x02\xCD\x19\xCD\x18", 'returns'],
    'tests bits that are not there' => ["\xB0\x41\xA8\x02\x74\x02\xCD\x19\xCD\x18", 'returns'],
    'tests bits that are' => ["\xB0\x41\xA8\x01\x75\x02\xCD\x19\xCD\x18", 'returns'],
    'tests a register by or' => ["\xB0\x00\x08\xC0\x74\x02\xCD\x19\xCD\x18", 'returns'],
    'tests the high half' => ["\xB4\x01\x84\xE4\x75\x02\xCD\x19\xCD\x18", 'returns'],
    'tests one against another' => ["\x84\xC8\xCD\x18", 'unknown'],
    'loads its own bytes' => ["\xBE\x05\x7C\xAC".OUT."\xF4", 'stays', "\x0E"],
    'loads what lies outside' => ["\xBE\x00\x90\xAC\xF4", 'unknown'],
    'loads what lies before' => ["\xBE\xFF\x7B\xAC\xF4", 'unknown'],
    'the last byte of it' => ["\xBE\xFF\x7D\xAC".OUT."\xF4", 'stays', "\xAA"],
    'counts up' => ["\xB8\x40\x0E\x40\xCD\x10\xF4", 'stays', 'A'],
    'saves and takes back' => ["\xB8\x41\x0E\x50\x31\xC0\x58\xCD\x10\xF4", 'stays', 'A'],
    'takes back what nobody saved' => ["\x58\x1E\x07\xCD\x18", 'returns'],
    'saves a segment, and takes it as a value' => ["\x0E\x58\x84\xC0\x74\x02\xCD\x19\xCD\x18", 'returns'],
    'runs out of its sector' => ["\xE9\x00\x20", 'unknown'],
    'runs before its sector' => ["\xE9\x00\x80", 'unknown'],
    'far ahead, inside' => ["\xE9\x10\x00".str_repeat("\xF4", 16)."\xCD\x18", 'returns'],
]);

it('moves, counts, saves and takes back any register', function (int $register) {
    // mov register, 0E40h · inc register · push register · pop ax · int 10h · hlt
    $code = chr(0xB8 + $register)."\x40\x0E".chr(0x40 + $register).chr(0x50 + $register)."\x58\xCD\x10\xF4";
    expect(traced($code))->toBe(['end' => 'stays', 'printed' => 'A']);
    // mov another, taken back last of two: what was saved last comes first
    $twice = "\xB8\x42\x0E\x50\xB8\x41\x0E\x50".chr(0x58 + $register).chr(0x50 + $register);
    expect(traced("{$twice}\x58\xCD\x10\x58\xCD\x10\xF4")['printed'])->toBe('AB')
        ->and((new Registers)->get($register))->toBe($register === 4 ? 0x7C00 : 0);
})->with(range(0, 7));

it('passes by what changes nothing that counts', function (string $sign) {
    expect(traced("{$sign}\xCD\x18")['end'])->toBe('returns');
})->with([
    'cld' => "\xFC", 'std' => "\xFD", 'cli' => "\xFA", 'sti' => "\xFB", 'nop' => "\x90",
]);

it('saves and drops segments', function (string $saves, string $drops) {
    // A segment is taken back as nothing; into a segment goes what was saved last.
    expect(traced("\xB8\x01\x00{$saves}\x58\x84\xC0\x74\x02\xCD\x19\xCD\x18")['end'])->toBe('returns')
        ->and(traced("\xB8\x41\x0E\x50\x31\xC0\x50{$drops}\x58\xCD\x10\xF4")['printed'])->toBe('A');
})->with([
    'es' => ["\x06", "\x07"], 'cs, ss' => ["\x0E", "\x17"], 'ss, ds' => ["\x16", "\x1F"], 'ds, es' => ["\x1E", "\x07"],
]);

it('asks a half of a register in any of these ways', function (string $asks) {
    $code = fn (string $value): string => "\xB0{$value}{$asks}\xC0\x74\x02\xCD\x19\xCD\x18";
    expect(traced($code("\0"))['end'])->toBe('returns')->and(traced($code("\1"))['end'])->toBe('restarts')
        ->and(traced("{$asks}\x07\xCD\x18")['end'])->toBe('unknown');
})->with([
    'test' => "\x84", 'or' => "\x08", 'or, the other way' => "\x0A", 'and' => "\x20", 'and, the other way' => "\x22",
]);

it('jumps as far as a byte reaches, either way', function () {
    expect(traced("\xEB\x7F".str_repeat("\xF4", 127)."\xCD\x18")['end'])->toBe('returns')
        ->and(traced("\xE9\x7D\x00\xCD\x18".str_repeat("\xF4", 123)."\xEB\x81")['end'])->toBe('returns');
});

it('sets any half', function (int $half) {
    // xor ax, ax · mov half, 41h; where that is al it prints, where it is ah it is another service
    $end = traced("\x31\xC0".chr(0xB0 + $half)."\x0E".($half === 4 ? "\xB0\x41" : "\xB8\x41\x0E")."\xCD\x10\xF4");
    expect($end['printed'])->toBe('A');
    $registers = new Registers;
    $registers->setByte($half, 0x5A);
    expect($registers->byte($half))->toBe(0x5A)->and($registers->byte($half ^ 4))->toBe(0);
})->with(range(0, 7));

it('takes code that calls nothing for a long time for one that never ends', function () {
    // inc ax until it is zero again: 65 536 times round
    expect(traced("\x31\xC0\x40\x84\xC0\xEB\xFB")['end'])->toBe('stays');
});

it('keeps registers of sixteen bits and their halves', function () {
    $registers = new Registers;
    $registers->set(0, 0x1_2345);
    expect($registers->get(0))->toBe(0x2345)->and($registers->byte(0))->toBe(0x45);
    expect($registers->byte(4))->toBe(0x23);
    $registers->setByte(4, 0xFF);
    $registers->setByte(0, 0x01);
    expect($registers->get(0))->toBe(0xFF01)->and($registers->get(4))->toBe(0x7C00);
    $registers->setByte(7, 0x12);
    expect($registers->get(3))->toBe(0x1200);
});
