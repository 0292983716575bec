<?php

use Cobblestone\Brief\FixedChoice;
use Cobblestone\Brief\MachineBlock;
use Cobblestone\Machine\DriveWords;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\Demo;

/**
 * @param  list<array<string, mixed>>  $drives
 */
function drivesRead(array $drives): string
{
    return (string) json_encode([
        'blockdevices' => array_map(
            fn (array $drive): array => [
                ...[
                    'type' => 'disk',
                    'size' => 512110190592,
                    'rm' => false,
                    'tran' => 'nvme',
                    'pttype' => 'gpt',
                    'children' => [
                        [
                            'name' => "{$drive['name']}p1",
                            'type' => 'part',
                            'size' => 107374182400,
                            'start' => 2048,
                            'fstype' => 'ext4',
                            'label' => 'Ledger',
                        ],
                    ],
                ],
                ...$drive,
            ],
            $drives,
        ),
    ]);
}

$plan = fn (array $machine) => Demo::plan('capstan-t3', ['machine' => $machine]);

it('keeps the same drive when a newer reading numbers them otherwise', function () use ($plan) {
    $first = drivesRead([
        ['name' => 'nvme0n1', 'serial' => 'AAA-0001'],
        ['name' => 'nvme1n1', 'serial' => 'BBB-0002', 'size' => 256060514304],
    ]);
    $newer = [
        'tool' => 'lsblk',
        'at' => '2026-11-21T10:00Z',
        'lsblk' => drivesRead([
            ['name' => 'nvme0n1', 'serial' => 'BBB-0002', 'size' => 256060514304],
            ['name' => 'nvme1n1', 'serial' => 'AAA-0001'],
        ]),
    ];
    $renumbered = $plan(['lsblk' => $first, 'readings' => [$newer], 'facts' => ['target.path' => 'nvme0n1']]);
    expect($renumbered->step('target.erase')?->confirmation?->serial)->toBe('AAA-0001')
        ->and($renumbered->blockers)->toBe([]);
    $gone = $plan([
        'lsblk' => $first,
        'readings' => [['lsblk' => drivesRead([['name' => 'nvme0n1', 'serial' => 'CCC-0003']])] + $newer],
        'facts' => ['target.path' => 'nvme0n1'],
    ]);
    expect($gone->verdict()->value)->toBe('stop')
        ->and($gone->blockers[0]->reason)
        ->toContain('"AAA-0001"')
        ->toContain('It shows: nvme0n1 · 512.1 GB · serial CCC-0003')
        ->and($gone->step('target.erase')?->confirmation?->serial)->toBeNull();
});

it('takes the target by serial or WWN among the drives that were read', function (string $name) use ($plan) {
    $lsblk = drivesRead([
        ['name' => 'nvme0n1', 'serial' => 'AAA-0001'],
        ['name' => 'nvme1n1', 'serial' => 'BBB-0002', 'wwn' => '0x5001'],
    ]);
    foreach (['target.serial', 'target.drive'] as $fact) {
        expect($plan(['lsblk' => $lsblk, 'facts' => [$fact => $name]])->step('target.erase')?->confirmation?->serial)
            ->toBe('BBB-0002');
    }
})->with(['BBB-0002', 'bbb-0002', '0x5001']);

it('stops where serial and size name two drives', function () use ($plan) {
    $lsblk = drivesRead([['name' => 'nvme0n1', 'serial' => 'AAA-0001'], ['name' => 'nvme1n1', 'serial' => 'BBB-0002']]);
    $stopped = $plan([
        'lsblk' => $lsblk,
        'facts' => ['target.serial' => 'AAA-0001', 'target.bytes' => '2000398934016'],
    ]);
    expect($stopped->verdict()->value)->toBe('stop')
        ->and($stopped->blockers[0]->reason)->toContain('Typed: 2 000 398 934 016 B. Read: nvme0n1')
        ->and(
            $plan([
                'lsblk' => $lsblk,
                'facts' => ['target.serial' => 'AAA-0001', 'target.bytes' => '512 GB'],
            ])->blockers,
        )
        ->toBe([]);
});

it('takes everything else out beside a twin or without a serial, and claims no serial then', function (
    array $drives,
    array $facts,
    array $out,
    string $words,
    bool $typed,
) use ($plan) {
    $found = $plan(['lsblk' => drivesRead($drives), 'facts' => $facts]);
    $told = json_encode($found->decisions);
    expect(array_map(fn ($entry) => $entry->id, $found->step('hardware.detach')->opens ?? []))->toBe($out)
        ->and($told)->toContain($words)
        ->and($found->step('target.erase')?->confirmation?->typed)->toBe($typed);
    if (! $typed) {
        expect($told)->not->toContain('confirmed by its serial');
    }
})->with([
    'twins' => [
        [
            ['name' => 'a', 'serial' => 'AAA-1'],
            ['name' => 'b', 'serial' => 'AAA-2', 'pttype' => null, 'children' => []],
        ],
        ['target.serial' => 'AAA-1'],
        ['drive-AAA-2'],
        'Another drive has the same size',
        true,
    ],
    'no serial, an archive outside' => [
        [['name' => 'a'], ['name' => 'x', 'serial' => 'ARC-9', 'tran' => 'usb', 'size' => 4000787030016]],
        [],
        ['drive-ARC-9'],
        'everything else comes out, so that it is the only drive left',
        false,
    ],
    'one serial for both' => [
        [['name' => 'a', 'serial' => 'SAME'], ['name' => 'b', 'serial' => 'SAME', 'size' => 99]],
        ['target.path' => 'a'],
        ['drive-b'],
        'reports no serial that is its own',
        false,
    ],
    'alone without a serial' => [[['name' => 'a']], [], [], 'the only drive the machine has', false],
    'another, smaller, blank' => [
        [
            ['name' => 'a', 'serial' => 'AAA-1'],
            ['name' => 'b', 'serial' => 'BBB-2', 'size' => 99, 'pttype' => null, 'children' => []],
        ],
        ['target.serial' => 'AAA-1'],
        [],
        'confirmed by its serial, not by its number',
        true,
    ],
]);

it('hides four characters of the target and of nothing else', function () use ($plan) {
    $found = $plan([
        'lsblk' => drivesRead([
            ['name' => 'a', 'serial' => 'KB-9917-4402'],
            ['name' => 'b', 'serial' => 'KB-9917-4488'],
        ]),
        'facts' => ['target.serial' => 'KB-9917-4402'],
    ]);
    $detach = implode(' ', $found->step('hardware.detach')->instructions ?? []);
    expect($detach)->toContain('KB-9917-4488')->toContain('NVMe slot')->toContain('KB-9917-••••')
        ->and(json_encode([
            $found->step('target.erase')?->instructions,
            $found->step('target.erase')?->because,
            $found->step('target.find')?->rows,
        ]))->not->toContain('4402');
});

it('states for every drive what an installer shows, and stops at a figure that is another '
    .'drive\'s', function () use ($plan) {
        $found = $plan([
            'lsblk' => drivesRead([
                ['name' => 'a', 'serial' => 'AAA-1'],
                ['name' => 'b', 'serial' => 'BBB-2', 'size' => 256060514304, 'pttype' => null, 'children' => []],
            ]),
            'facts' => ['target.serial' => 'AAA-1'],
        ]);
        expect($found->step('target.find')?->rows)->toBe([
            [
                'drive' => 'a · 512.1 GB · serial A•••• · NVMe slot · holds Ledger',
                'bytes' => "512\u{a0}110\u{a0}190\u{a0}592",
                'GB' => '512.1',
                'GiB' => '476.9',
                'TiB' => '0.466',
                'is' => 'the target',
            ],
            [
                'drive' => 'b · 256.1 GB · serial BBB-2 · NVMe slot · blank',
                'bytes' => "256\u{a0}060\u{a0}514\u{a0}304",
                'GB' => '256.1',
                'GiB' => '238.5',
                'TiB' => '0.233',
                'is' => 'stays in, not this one',
            ],
        ])
            ->and(array_keys($found->step('target.find')->evidence[0]->expected->others))
            ->toBe(['b · 256.1 GB · serial BBB-2 · NVMe slot · blank'])
            ->and(implode(' ', $found->step('target.erase')->instructions))
            ->toContain('the whole drive: 512.1 GB, or 476.9 GiB')
            ->and(DriveWords::sizes(Bytes::of(4000787030016))['TiB'])->toBe('3.639');
    });

it('calls no typed drive blank and no sector size read that nobody read', function () {
    $typed = Demo::plan('drive-swap');
    expect($typed->step('target.erase')?->confirmation?->loses)->toBe('whatever is on it: its contents were not read')
        ->and($typed->layouts->all()['target']['sector_assumed'])->toBeTrue()
        ->and(json_encode($typed->decisions))->toContain('contents not read');
    expect(Demo::plan('fairlead-13')->layouts->all()['target']['sector_assumed'])->toBeFalse();
});

it('turns a path into an identity once, and leaves what has none', function () {
    $machine = MachineBlock::fromArray([
        'facts' => ['target.path' => 'a', 'swap.path' => 'b'],
        'lsblk' => drivesRead([['name' => 'a', 'serial' => 'AAA-1'], ['name' => 'b']]),
    ]);
    $unread = MachineBlock::fromArray(['facts' => ['target.path' => 'a'], 'lsblk' => 'oops']);
    expect(FixedChoice::of($machine)->facts)->toBe([
        'swap.path' => 'b',
        'target.drive' => 'AAA-1',
        'target.bytes' => 512110190592,
    ])
        ->and(FixedChoice::of(FixedChoice::of($machine)))->toEqual(FixedChoice::of($machine))
        ->and(FixedChoice::of($unread))->toEqual($unread);
});

it('asks which of several drives comes out, and detaches before the case is closed', function () {
    $lsblk = drivesRead([
        ['name' => 'a', 'serial' => 'AAA-1'],
        ['name' => 'b', 'serial' => 'BBB-2', 'size' => 2000398934016],
    ]);
    $brief = Demo::brief('drive-swap')['machine'];
    $swap = fn (array $facts) => Demo::plan('drive-swap', [
        'machine' => ['lsblk' => $lsblk, 'readings' => [], 'facts' => [...$brief['facts'], ...$facts]],
    ]);
    expect($swap([])->question('swap.drive')?->options)->toHaveKeys(['AAA-1', 'BBB-2'])
        ->and(array_column(WalkThrough::of($swap([])), 'laid', 'id')['hardware.swap-drive'])->toBeFalse();
    $steps = array_map(fn ($step) => $step->id, $swap(['swap.drive' => 'AAA-1'])->steps);
    expect(array_search(
        'hardware.detach',
        $steps,
        true,
    ))->toBeLessThan(array_search('hardware.close', $steps, true))->not->toBeFalse();
});
