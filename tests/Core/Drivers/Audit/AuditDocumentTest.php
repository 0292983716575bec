<?php

use Cobblestone\Drivers\Audit\AuditDocument;
use Cobblestone\Drivers\Audit\DeviceReading;
use Cobblestone\Drivers\Audit\DriverAudit;
use Cobblestone\Drivers\Audit\WhereToLook;
use Cobblestone\Machine\Device;

function twoLooks(): DriverAudit
{
    $of = static fn (string $name, string $id, ?string $status): Device => new Device($name, $id, 'x', status: $status);

    return new DriverAudit([
        new DeviceReading('first.csv', [
            $of('A', 'pci:0001:0001', 'Error'), $of('B', 'pci:0001:0002', 'OK'), $of('C', 'pci:0001:0003', 'OK'),
        ]),
        new DeviceReading('next.csv', [
            $of('A', 'pci:0001:0001', 'OK'), $of('B', 'pci:0001:0002', 'Code 10'), $of('D', 'pci:0001:0004', null),
        ]),
    ]);
}

it('writes an audit down whole', function () {
    $one = static fn (string $name, string $id): array => ['name' => $name, 'id' => $id];
    $left = $one('B', 'pci:0001:0002');
    expect(AuditDocument::of(twoLooks()))->toBe([
        'coverage' => '3 devices: 2 → 1',
        'readings' => [
            ['source' => 'first.csv', 'devices' => 3, 'driven' => 2, 'without' => 1, 'unsaid' => 0],
            ['source' => 'next.csv', 'devices' => 3, 'driven' => 1, 'without' => 1, 'unsaid' => 1],
        ],
        'steps' => [[
            'source' => 'next.csv',
            'cleared' => [$one('A', 'pci:0001:0001')],
            'lost' => [$left],
            'came' => [$one('D', 'pci:0001:0004')],
            'went' => [$one('C', 'pci:0001:0003')],
        ]],
        'left' => [[
            ...$left,
            'where' => WhereToLook::for(new Device('B', 'pci:0001:0002', 'x'), null, null),
        ]],
    ]);
});

it('says an audit line by line', function () {
    expect(AuditDocument::lines(twoLooks()))->toBe([
        '3 devices: 2 → 1',
        'next.csv',
        '    cleared: A · pci:0001:0001',
        '    lost: B · pci:0001:0002',
        '    came: D · pci:0001:0004',
        '    went: C · pci:0001:0003',
        'without a driver: B · pci:0001:0002 · Code 10',
        'of 1 the list does not say whether they have a driver',
    ]);
});
