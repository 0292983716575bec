<?php

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Tuning\Proof\SameMachine;

/** @param  array<string, string>  $facts */
function machineNamed(array $facts, Source $source = Source::Reading): Machine
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, $source, 'a reading'));
    }

    return new Machine('Cobalt Mole', Kind::Laptop, $sheet);
}

it('takes readings of this machine and of no other', function (array $before, array $after, ?string $fault) {
    $said = SameMachine::fault(machineNamed($before), machineNamed($after));
    $fault === null ? expect($said)->toBeNull() : expect((string) $said)->toContain($fault);
})->with([
    [['machine.serial' => 'NF13-1'], ['machine.serial' => 'nf13-1 '], null],
    [
        ['machine.serial' => 'NF13-1'],
        ['machine.serial' => 'NF13-2'],
        "its serial is NF13-2, that of the job's machine is NF13-1",
    ],
    // The serial decides, whatever else is said.
    [
        ['machine.serial' => 'NF13-1', 'machine.product' => 'one'],
        ['machine.serial' => 'NF13-1', 'machine.product' => 'another'],
        null,
    ],
    [
        ['machine.product' => 'Fairlead 13'],
        ['machine.serial' => 'NF13-2', 'machine.product' => 'Fairlead 15'],
        'its product is Fairlead 15',
    ],
    [['board.name' => 'BW-K41'], ['board.name' => 'BW-K42'], 'its board is BW-K42'],
    [['board.name' => 'BW-K41'], ['machine.serial' => 'x'], null],
    [[], [], null],
]);

it('goes by what was read or typed, never by what is assumed', function () {
    $assumed = machineNamed(['machine.product' => 'Fairlead 13'], Source::Catalogue);
    expect(SameMachine::fault($assumed, machineNamed(['machine.product' => 'Fairlead 15'])))->toBeNull()
        ->and(SameMachine::fault(
            machineNamed(['machine.serial' => 'a'], Source::Person),
            machineNamed(['machine.serial' => 'b']),
        ))->not->toBeNull();
});

it('sees a clock that is set back or ahead', function (?string $before, ?string $after, string $words) {
    $said = SameMachine::clock($before, $after, '2026-11-30T12:00Z');
    $words === '' ? expect($said)->toBe('') : expect($said)->toContain($words);
})->with([
    ['2026-11-30T09:00Z', '2026-11-30T11:00Z', ''],
    ['2026-11-30T09:00Z', '2026-11-30T12:00Z', ''],
    ['2026-11-30T09:00Z', '2026-11-30T09:00Z', ''],
    ['2026-11-30T09:00Z', '2019-01-01T00:00Z', 'its clock says 2019-01-01T00:00Z, and the first reading is of '
        .'2026-11-30T09:00Z'],
    [null, '2026-11-30T12:01Z', 'which is still to come here'],
    [null, '2019-01-01T00:00Z', 'and here it is 2026-11-30T12:00Z'],
    [null, '2026-10-31T12:00Z', ''],
    [null, '2026-10-31T11:59Z', 'and here it is'],
    ['2026-11-30T09:00Z', null, ''],
]);

/** @param  list<string|null>  $serials  of the drives inside */
function machineOfDrives(array $serials, array $facts = [], string $by = 'nvme'): Machine
{
    $named = machineNamed($facts);

    return new Machine('Cobalt Mole', Kind::Laptop, $named->facts, drives: array_map(
        static fn (?string $serial): Drive => new Drive('/dev/x', Bytes::of(512_110_190_592), $serial, 'NV-3',
            transport: $by),
        $serials,
    ));
}

it('knows a machine without a serial by its drives', function (array $before, array $after, bool $isOther) {
    expect(SameMachine::fault(machineOfDrives(...$before), machineOfDrives(...$after)) !== null)->toBe($isOther)
        // Where the job exchanges the drive, another one is what is wanted.
        ->and(SameMachine::fault(machineOfDrives(...$before), machineOfDrives(...$after), false))->toBeNull();
})->with([
    [[['AAAA1111']], [['BBBB2222']], true],
    [[['AAAA1111']], [[' aaaa1111 ']], false],
    [[['AAAA1111', 'CCCC3333']], [['BBBB2222', 'CCCC3333']], false],
    // What names no drive says nothing.
    [[['AAAA1111']], [[null]], false],
    [[[]], [['BBBB2222']], false],
    [[['AAAA1111']], [[]], false],
    // Two machines of one model are told apart, a serial that agrees is not doubted.
    [
        [['AAAA1111'], ['machine.product' => 'Fairlead 13']],
        [['BBBB2222'], ['machine.product' => 'Fairlead 13']],
        true,
    ],
    [
        [['AAAA1111'], ['machine.serial' => 'NF13-1']],
        [['BBBB2222'], ['machine.serial' => 'NF13-1']],
        false,
    ],
    // A stick or a drive on a lead belongs to the bench.
    [[['AAAA1111'], [], 'usb'], [['BBBB2222'], [], 'usb'], false],
]);

it('says of another machine what to do, and no serial of a drive', function () {
    $said = (string) SameMachine::fault(machineOfDrives(['AAAA1111']), machineOfDrives(['BBBB2222']));
    expect($said)->toContain('none of the drives inside is one that was read of the job\'s machine')
        ->toContain('read the machine in again under Intake first')
        ->not->toContain('AAAA1111')
        ->not->toContain('BBBB2222');
});

it('does not hold the serial that one tool tells against the WWN that another tells', function (
    array $was,
    array $is,
    bool $isOther,
) {
    $of = static fn (array $drive): Machine => new Machine('x', Kind::Laptop, FactSheet::empty(), drives: [new Drive(
        '/dev/x',
        Bytes::of(512_110_190_592),
        $drive[0],
        wwn: $drive[1],
    )]);
    expect(SameMachine::fault($of($was), $of($is)) !== null)->toBe($isOther);
})->with([
    [['AAAA1111', 'eui.1'], [null, 'eui.1'], false],
    [['AAAA1111', null], [null, 'eui.1'], false],
    [['AAAA1111', 'eui.1'], [null, 'eui.2'], true],
    [['AAAA1111', 'eui.1'], ['AAAA1111', 'eui.2'], false],
    [['AAAA1111', 'eui.1'], ['BBBB2222', null], true],
]);
