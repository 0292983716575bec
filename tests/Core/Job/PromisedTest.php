<?php

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\Proof\TunedRows;
use Tests\Support\Demo;
use Tests\Support\RandomBrief;

/** @return array<string, Evidence> */
function promisedRows(string $brief, array $changes = [], array $policy = []): array
{
    return array_column(
        array_map(
            fn (Evidence $one) => [$one->id, $one],
            Demo::plan($brief, $changes, $policy)->step(Acceptance::STEP)->evidence ?? [],
        ),
        1,
        0,
    );
}

it('promises what the path leaves, row by row', function (string $brief, array $expected, array $absent) {
    $rows = promisedRows($brief);
    foreach ($expected as $row => $value) {
        expect($rows)->toHaveKey($row)->and($rows[$row]->expected?->value)->toBe($value, $row);
    }
    foreach ($absent as $row) {
        expect($rows)->not->toHaveKey($row);
    }
})->with([
    'a clean install' => [
        'fairlead-13',
        [
            'device.pci:4f51:5500' => '31.5',
            'setting.secure_boot' => 'on',
            'setting.boot_mode' => 'uefi',
            'encryption' => 'on',
            'build' => '7200',
            'activated' => 'yes',
            'drive.SM3-2207-88415D' => '256060514304',
        ],
        ['drive_size', 'memory_rate', 'firmware_version', 'starts'],
    ],
    'a second drive stays' => ['capstan-t3', ['drive.KB-9917-4402' => '2000398934016'], ['activated', 'encryption']],
    'a card goes and another comes' => [
        'card-swap',
        [
            'device.pci:46e1:7700' => 'missing',
            'device.pci:4f51:9900' => '32.1',
            'link.pci:4f51:9900' => '16',
            'device.pci:51a2:0101' => 'driven',
        ],
        ['build', 'activated', 'updates_found'],
    ],
    'a drive is swapped: the old one is kept apart' => [
        'drive-swap',
        ['drive.SM3-2610-55E0C1' => '512110190592', 'encryption' => 'on'],
        ['drive.SM3-2207-88415D'],
    ],
    'only firmware' => [
        'firmware-update',
        ['firmware_version' => '1.16', 'starts' => 'yes', 'encryption' => 'on'],
        ['activated', 'build', 'sleep', 'updates_found', 'sound'],
    ],
    'a new build runs its memory at its rate' => [
        'new-capstan',
        ['memory_rate' => '6000 MT/s', 'setting.memory_profile' => 'rated'],
        [],
    ],
    'a repair leaves drive and protection' => [
        'repair',
        ['drive.SM3-2207-7730B9' => '256060514304', 'encryption' => 'on'],
        ['build', 'activated'],
    ],
]);

it('counts what is alike in a list, once whatever the tools that list it, and nothing that is plugged in', function () {
    $device = static fn (string $id): array => ['name' => 'Cable', 'id' => $id, 'family' => 'network'];
    $reading = static fn (string $tool, array $ids): array => [
        'tool' => $tool, 'origin' => "{$tool}.txt", 'devices' => array_map($device, $ids),
    ];
    $rows = promisedRows('capstan-t3', ['machine' => [...Demo::brief('capstan-t3')['machine'], 'readings' => [
        $reading('lspci', ['pci:51a2:0101', 'pci:51a2:0909', 'pci:51a2:0909', 'pci:51a2:0909']),
        $reading('device-list', ['pci:51a2:0101', 'pci:51a2:0909', 'pci:51a2:0909']),
        $reading('lsusb', ['usb:51a2:0303', 'usb:51a2:0303']),
    ]]]);
    expect(array_values(array_filter(array_keys($rows), fn (string $id) => str_starts_with($id, 'alike.'))))
        ->toBe(['alike.pci:51a2:0909'])
        ->and($rows['alike.pci:51a2:0909']->expected?->value)->toBe('3')
        ->and($rows['alike.pci:51a2:0909']->label)->toBe('How many of Cable, pci:51a2:0909');
});

it('says who knows it, and the cheapest way to it', function () {
    $open = promisedRows('capstan-t3');
    $closed = promisedRows('fairlead-13');
    expect($open['device.pci:51a2:0101']->read)->toBe('the collector')
        ->and($open['system']->read)->toBe('the collector')
        ->and($closed['system']->read)->toBe('Settings, Machine, "Edition and build"')
        ->and($closed['cores']->read)->toBe('Settings, Machine, "Parts"')
        ->and($closed['drive.SM3-2207-88415D']->read)->toContain('Settings, Storage')
        ->and($closed['setting.boot_mode']->read)->toBe('Settings, Machine, "Board"')
        ->and($open['setting.third_party_signer']->read)->toBe('')
        ->and($closed['sound']->read)->toBe('');
});

it('has of every job every row once, with something to hold it against', function (int $seed) {
    for ($i = 0; $i < 25; $i++) {
        $step = RandomBrief::plan($seed + $i)?->step(Acceptance::STEP);
        $rows = array_map(fn (Evidence $one) => $one->id, $step->evidence ?? []);
        expect($rows)->toBe(array_values(array_unique($rows)));
        foreach ($step->evidence ?? [] as $one) {
            expect($one->mayBeOpen)->toBeTrue($one->id)
                ->and($one->overruledBy)->toBe([
                    ...$one->id === TunedRows::SCALE ? ['technician'] : [], 'lead',
                ], $one->id)
                ->and(($one->expected?->value ?? '').($one->expected?->from ?? ''))->not->toBe('', $one->id)
                ->and(mb_check_encoding($one->id, 'ASCII'))->toBeTrue()
                ->and($one->kind !== EvidenceKind::Choice || array_diff(
                    explode('|', (string) $one->expected?->value),
                    array_keys($one->options),
                ) === [])->toBeTrue($one->id);
        }
    }
})->with([4100, 4200, 4300, 4400]);
