<?php

use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Inventory\ProgramListReader;
use Cobblestone\Inventory\Reading;

it('reads lists of programs as they come', function (string $text, array $programs) {
    $reading = InventoryReader::read($text, 'programs.csv', null);
    expect($reading->tool)->toBe('program-list')
        ->and($reading->programs)->toBe($programs)
        ->and(Reading::fromArray($reading->toArray()))->toEqual($reading)
        ->and($reading->isEmpty())->toBe($programs === []);
})->with([
    ["program,version\nTidebook ledger,3\nGull mail,\n", ['Tidebook ledger' => '3', 'Gull mail' => '']],
    ["\u{FEFF}Display Name;Publisher;Version\r\n\"Tern; view\";Quay;2.1\r\n", ['Tern; view' => '2.1']],
    ["Name\tVersion\nGull mail\t1.0\n\n", ['Gull mail' => '1.0']],
    ["version,package\n7,less\n", ['less' => '7']],
    ["program,version\n", []],
    ["\n\nApplication, Version \n a , 1 \n   \nb,2\n", ['a' => '1', 'b' => '2']],
    ["displayname;display version\ngull;1\n", ['gull' => '1']],
    ["PROGRAMS\tDISPLAYVERSION\ngull\t1\n", ['gull' => '1']],
    ["version,name,package\n1,first,second\n", ['first' => '1']],
]);

it('goes on behind a line without a program, and says nothing of a full list that is whole', function () {
    $reading = ProgramListReader::read("program,version\n,1\n \nafter,2\n");
    expect($reading->programs)->toBe(['after' => '2'])
        ->and($reading->notes)->toBe(['list of programs, line 2: it names no program; left out.']);
    $lines = implode("\n", array_map(fn (int $i) => "program {$i},1", range(1, ProgramListReader::MOST)));
    expect(ProgramListReader::read("program,version\n{$lines}\n")->notes)->toBe([]);
});

it('leaves lists of devices to their reader', function () {
    expect(InventoryReader::recognise("Name,Hardware IDs,Status,Version\nx,pci:1:1,OK,1\n"))->toBe('device-list')
        ->and(ProgramListReader::recognises("Name,Hardware IDs,Version\n"))->toBeFalse()
        ->and(ProgramListReader::recognises("Name,Maker\n"))->toBeFalse()
        ->and(ProgramListReader::recognises(''))->toBeFalse();
});

it('keeps no more than a person goes through, and says what it left out', function () {
    $lines = implode("\n", array_map(fn (int $i) => "program {$i},1", range(1, ProgramListReader::MOST + 5)));
    $reading = ProgramListReader::read("program,version\n{$lines}\n,5\n");
    expect(count($reading->programs))->toBe(ProgramListReader::MOST)
        ->and($reading->notes)->toBe([
            'list of programs, line '.(ProgramListReader::MOST + 7).': it names no program; left out.',
            'list of programs: the first '.ProgramListReader::MOST.' were taken.',
        ])
        ->and(ProgramListReader::read("program,version\n".str_repeat('ab', 50).",1\n")->programs)
        ->toBe([str_repeat('ab', 40) => '1']);
});
