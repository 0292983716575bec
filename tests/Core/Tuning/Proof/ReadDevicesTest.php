<?php

use Cobblestone\Machine\Device;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Tuning\Proof\AcceptanceRow;
use Cobblestone\Tuning\Proof\AcceptanceTable;
use Cobblestone\Tuning\Proof\DeviceRows;
use Cobblestone\Tuning\Proof\Promises;
use Cobblestone\Tuning\Proof\ReadBack;

/** @param  array<string, int>  $devices  identifier => how many alike */
function machineListing(array $devices, string $status = 'OK'): Machine
{
    return new Machine('Cobalt Mole', Kind::Desktop, FactSheet::empty(), devices: array_map(
        static fn (string $id, int $count): Device => new Device(
            "Part {$id}",
            $id,
            'network',
            status: $status,
            count: $count,
        ),
        array_keys($devices),
        $devices,
    ));
}

/** @return array<string, string> row => verdict */
function verdictsOf(Machine $before, Machine $after): array
{
    $rows = DeviceRows::of(new Promises($before));
    $table = AcceptanceTable::of($rows, (new ReadBack($after))->all($rows));

    return array_map(
        static fn (AcceptanceRow $row): string => $row->verdict(),
        array_combine(array_column($rows, 'id'), $table->rows),
    );
}

it('sees that of two alike one is not there any more', function () {
    $before = machineListing(['pci:4f51:5500' => 2, 'pci:4f51:5501' => 1]);
    expect(verdictsOf($before, machineListing(['pci:4f51:5500' => 1, 'pci:4f51:5501' => 1])))->toBe([
        'device.pci:4f51:5500' => 'equal',
        'alike.pci:4f51:5500' => 'differs',
        'device.pci:4f51:5501' => 'equal',
    ])
        ->and(verdictsOf($before, $before)['alike.pci:4f51:5500'])->toBe('equal')
        // One more was plugged in: that is no fault.
        ->and(verdictsOf($before, machineListing(['pci:4f51:5500' => 3]))['alike.pci:4f51:5500'])->toBe('within')
        // None of them: their own row says it, and once.
        ->and(verdictsOf($before, machineListing(['pci:4f51:5501' => 1])))->toBe([
            'device.pci:4f51:5500' => 'differs',
            'alike.pci:4f51:5500' => 'open',
            'device.pci:4f51:5501' => 'equal',
        ]);
});

it('takes a list for a part of one where it lacks most of what was there', function (
    int $of,
    int $named,
    bool $isCut,
) {
    $ids = array_map(static fn (int $at): string => sprintf('pci:4f51:%04x', $at), range(1, $of));
    $before = machineListing(array_fill_keys($ids, 1));
    // Something that was not there before shows that the bus was listed.
    $after = machineListing([...array_fill_keys(array_slice($ids, 0, $named), 1), 'pci:ffff:0001' => 1]);
    $verdicts = array_count_values(verdictsOf($before, $after));
    $rows = DeviceRows::of(new Promises($before));
    expect($verdicts[$isCut ? 'open' : 'differs'] ?? 0)->toBe($of - $named)
        ->and($verdicts['equal'] ?? 0)->toBe($named)
        ->and((new ReadBack($after))->remarks($rows))->toHaveCount($isCut ? 1 : 0);
})->with([
    [7, 3, true],
    [6, 3, false],
    [5, 2, true],
    [3, 0, true],
    [2, 0, false],
    [4, 2, false],
    [8, 8, false],
]);

it('says which list it does not believe, and why', function () {
    $before = machineListing(['pci:4f51:5500' => 1, 'pci:4f51:5501' => 1, 'pci:4f51:5502' => 1]);
    $rows = DeviceRows::of(new Promises($before));
    expect((new ReadBack(machineListing(['pci:ffff:0001' => 1])))->remarks($rows))->toBe([
        'The list of devices names none of the 3 that belong on PCI: it looks like a part of one. What it does not '
            .'name stays open; read the whole list.',
    ])
        ->and((new ReadBack(machineListing(['usb:ffff:0001' => 1])))->remarks($rows))->toBe([]);
});

it('does not count devices without a driver in a part of a list', function () {
    $count = new Evidence('without_driver', 'Without a driver', EvidenceKind::Count, expected: new Expected('0'));
    $before = machineListing(['pci:4f51:5500' => 1, 'pci:4f51:5501' => 1, 'pci:4f51:5502' => 1, 'pci:4f51:5503' => 1]);
    $rows = [...DeviceRows::of(new Promises($before)), $count];
    expect((new ReadBack(machineListing(['pci:4f51:5500' => 1])))->all($rows))->not->toHaveKey('without_driver')
        ->and((new ReadBack($before))->all($rows)['without_driver']->value)->toBe('0')
        ->and((new ReadBack(machineListing(['pci:4f51:5500' => 1, 'pci:4f51:5501' => 1], 'Error')))
            ->all($rows)['without_driver']->value)->toBe('2');
});
