<?php

use Cobblestone\Drivers\Audit\AuditDocument;
use Cobblestone\Drivers\Audit\AuditStep;
use Cobblestone\Drivers\Audit\DeviceReading;
use Cobblestone\Drivers\Audit\DriverAudit;
use Cobblestone\Drivers\Audit\WhereToLook;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Tests\Support\Worked;

/** @param  array<string, string|null>  $statuses  identifier => status; with a star before it another of the same */
function looked(string $source, array $statuses): DeviceReading
{
    $devices = [];
    foreach ($statuses as $identifier => $status) {
        $identifier = ltrim($identifier, '*');
        $devices[] = new Device("name of {$identifier}", $identifier, 'other', status: $status);
    }

    return new DeviceReading($source, $devices);
}

it('takes from a status whether a driver serves the device', function (
    ?string $status,
    ?string $driver,
    ?bool $driven,
) {
    expect((new Device('x', 'pci:1234:0001', 'other', status: $status, driver: $driver))->isDriven())->toBe($driven);
})->with([
    ['OK', null, true], ['ok', null, true], ['Started', null, true], ['0', null, true],
    ['Working properly', null, true],
    ['Error', null, false], ['fault 28', null, false], ['28', null, false], ['no driver', null, false],
    ['Code 10', null, false], ['Unknown', null, false], ['Degraded', '1.0', false],
    ['*-display UNCLAIMED', null, false],
    [null, '31.5', true], ['resting', null, null], [null, null, null],
]);

it('recounts after each look, and says what a package cleared besides its own', function () {
    $audit = new DriverAudit([
        looked('before', ['pci:1:1' => 'Error', 'pci:1:2' => 'Error', 'pci:1:3' => 'OK', '*pci:1:3' => 'Error']),
        looked('chipset', ['pci:1:1' => 'OK', 'pci:1:2' => 'OK', 'pci:1:3' => 'OK', '*pci:1:3' => 'Error']),
        looked('sound', ['pci:1:1' => 'OK', 'pci:1:2' => 'Error', 'pci:1:3' => 'OK', '*pci:1:3' => 'OK']),
    ]);
    $ids = static fn (array $devices): array => array_map(static fn (Device $of): string => $of->identifier, $devices);
    expect($audit->coverage())->toBe('4 devices: 1 → 3 → 3')
        ->and(array_map(static fn (AuditStep $of): array => [
            $of->source, $ids($of->cleared), $ids($of->lost), $ids($of->came), $ids($of->went),
        ], $audit->steps()))
        ->toBe([
            ['chipset', ['pci:1:1', 'pci:1:2'], [], [], []],
            ['sound', ['pci:1:3'], ['pci:1:2'], [], []],
        ])
        ->and(array_keys($audit->left()))->toBe(['pci:1:2'])
        ->and(array_column(AuditDocument::of($audit)['readings'], 'driven'))->toBe([1, 3, 3])
        ->and(AuditDocument::of($audit)['left'][0]['id'])->toBe('pci:1:2');
});

it('does not take devices that are alike for each other when a list has them in another order', function () {
    $audit = new DriverAudit([
        looked('first', ['pci:1:1' => 'OK', '*pci:1:1' => 'Error', '**pci:1:1' => 'Error', '***pci:1:1' => 'resting']),
        looked('turned', ['pci:1:1' => 'Error', '*pci:1:1' => 'resting', '**pci:1:1' => 'Error', '***pci:1:1' => 'OK']),
        looked('one more', ['pci:1:1' => 'resting', '*pci:1:1' => 'OK', '**pci:1:1' => 'Error', '***pci:1:1' => 'OK']),
    ]);
    expect($audit->coverage())->toBe('4 devices: 1 → 1 → 2')
        ->and(array_map(static fn (AuditStep $of): array => [
            count($of->cleared), count($of->lost), count($of->came), count($of->went),
        ], $audit->steps()))->toBe([[0, 0, 0, 0], [0, 0, 0, 0]])
        ->and(array_keys($audit->readings[0]->devices))->toBe(['pci:1:1', 'pci:1:1 (2)', 'pci:1:1 (3)', 'pci:1:1 (4)'])
        ->and(count($audit->left()))->toBe(1);
});

it('counts each look with its own number where devices came or went', function () {
    $audit = new DriverAudit([
        looked('before', ['pci:1:1' => 'OK', 'pci:1:2' => null]),
        looked('after', ['pci:1:1' => 'OK', 'pci:1:3' => 'OK', 'pci:1:4' => 'Error']),
    ]);
    expect($audit->coverage())->toBe('1 of 2 → 2 of 3')
        ->and(count($audit->steps()[0]->came))->toBe(2)
        ->and(count($audit->steps()[0]->went))->toBe(1)
        ->and((new DriverAudit([looked('one', ['pci:1:1' => 'OK'])]))->coverage())->toBe('1 device: 1')
        ->and(AuditDocument::lines(new DriverAudit([looked('one', ['pci:1:1' => null, 'pci:1:2' => '28'])])))
        ->toBe([
            '2 devices: 0',
            'without a driver: name of pci:1:2 · pci:1:2 · 28',
            'of 1 the list does not say whether they have a driver',
        ]);
});

it('looks first where the machine\'s maker says, and last where everybody finds something', function () {
    $device = new Device('x', 'pci:51a2:0202', 'network');
    $laptop = new Machine('Cobalt Mole', Kind::Laptop, FactSheet::empty());
    $board = FactSheet::empty()->with(Fact::of('board.name', 'Quayside B', Source::Person, 'read'));
    $desktop = new Machine('Tower', Kind::Desktop, $board);
    expect(WhereToLook::for($device, $laptop, 'Quarrel'))->toHaveCount(4)
        ->and(WhereToLook::for($device, $laptop, 'Quarrel')[0])->toContain('exactly Cobalt Mole')
        ->and(WhereToLook::for($device, $laptop, 'Quarrel')[1])->toContain('Quarrel')
        ->and(WhereToLook::for($device, $desktop, null)[0])
        ->toBe('The page of the board Quayside B, with its revision.')
        ->and(WhereToLook::for($device, $desktop, null)[1])->toContain('not in the bench')
        ->and(WhereToLook::for($device, null, null)[0])->toContain('exactly its model')
        ->and(WhereToLook::for($device, null, null)[3])->toContain('`pci:51a2:0202`');
});

it('recounts two hundred devices a dozen times in less than twenty milliseconds', function () {
    $statuses = [];
    for ($i = 0; $i < 200; $i++) {
        $statuses[sprintf('pci:%04x:0001', $i)] = $i % 3 === 0 ? 'Error' : 'OK';
    }
    $readings = array_map(static fn (int $n): DeviceReading => looked("{$n}", $statuses), range(1, 12));
    $worked = Worked::calmly(function () use ($readings, &$document): void {
        $document = AuditDocument::of(new DriverAudit($readings));
    });
    expect(1000 * $worked)->toBeLessThan(20)
        ->and($document['coverage'])->toStartWith('200 devices: 133');
})->group('slow');
