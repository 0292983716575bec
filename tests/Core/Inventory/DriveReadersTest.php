<?php

use Cobblestone\Inventory\LshwReader;
use Cobblestone\Inventory\SmartctlReader;

it('takes a drive\'s figures only where they are whole numbers', function () {
    $reading = SmartctlReader::read(
        (string) json_encode(
            [
                'smartctl' => ['messages' => ['x', ['string' => ' '], ['string' => 'Hello']]],
                'model_name' => 'Saltmarsh S2',
                'rotation_rate' => 0,
                'smart_status' => ['passed' => 'yes'],
                'user_capacity' => ['bytes' => '5'],
                'local_time' => ['time_t' => 0],
                'ata_smart_attributes' => [
                    'table' => [
                        'x',
                        ['id' => 5, 'raw' => ['value' => 8]],
                        ['id' => '9', 'raw' => ['value' => 1]],
                        ['id' => 197, 'raw' => ['value' => '2']],
                        ['id' => 199],
                    ],
                ]]));
    expect($reading->health[0]->toArray())->toBe([
        'serial' => 'no serial',
        'model' => 'Saltmarsh S2',
        'kind' => 'ata',
        'figures' => [5 => 8],
        'rotating' => false,
    ]);
    expect($reading->at)->toBeNull();
    expect($reading->notes)->toBe(['smartctl said: Hello']);
});

it('reads every figure of the NVMe log that a rule asks for, and no other', function () {
    $log = [
        'critical_warning' => 1,
        'available_spare' => 90,
        'available_spare_threshold' => 10,
        'percentage_used' => 4,
        'media_errors' => 2,
        'num_err_log_entries' => 3,
        'power_on_hours' => 4000,
        'unsafe_shutdowns' => 7,
    ];
    $reading = SmartctlReader::read((string) json_encode([
        'smartctl' => [],
        'serial_number' => 'S-1',
        'rotation_rate' => 5400,
        'smart_status' => ['passed' => false],
        'local_time' => ['time_t' => 1],
        'nvme_smart_health_information_log' => [...$log, 'temperature' => 40, 'host_reads' => 'x'],
    ]));
    expect($reading->health[0]->figures)->toBe($log);
    expect($reading->health[0]->kind)->toBe('nvme');
    expect($reading->health[0]->model)->toBe('drive');
    expect($reading->health[0]->passed)->toBeFalse();
    expect($reading->health[0]->rotating)->toBeTrue();
    expect($reading->at)->toBe('1970-01-01T00:00+00:00');
    expect($reading->notes)->toBe([]);
});

it('knows no health of a drive that gives no figures, by its model or else its serial', function (
    array $drive,
    string $named,
) {
    $reading = SmartctlReader::read((string) json_encode(['smartctl' => [], ...$drive]));
    expect($reading->health[0]->kind)->toBe('unknown');
    expect($reading->notes)->toBe([
        "smartctl: {$named} gave no health figures, as behind some bridges: its health is unknown, not good.",
    ]);
})->with([
    [['model_name' => 'Saltmarsh S2', 'serial_number' => 'S-1'], 'Saltmarsh S2'],
    [['scsi_model_name' => 'Bridge B1'], 'Bridge B1'],
    [['serial_number' => 'S-1'], 'S-1'],
    [['serial_number' => 'S-1', 'nvme_smart_health_information_log' => []], 'S-1'],
]);

it('takes from lshw only what the right kind of node says', function (array $node, array $facts) {
    expect(
        LshwReader::read((string) json_encode([
            'id' => 'm',
            'class' => 'generic',
            'vendor' => 'not a system',
            'children' => [$node],
        ]))->facts,
    )
        ->toBe($facts);
})->with([
    'clock: the higher of capacity and size' => [
        ['class' => 'processor', 'capacity' => 4_300_000_000, 'size' => 800_999_999],
        ['clock_mhz' => 4300],
    ],
    'size alone' => [['class' => 'processor', 'size' => 800_999_999, 'units' => 'Hz'], ['clock_mhz' => 800]],
    'another unit' => [['class' => 'processor', 'size' => 800, 'units' => 'x'], []],
    'architecture' => [
        ['class' => 'processor', 'capabilities' => ['x86-64' => '64bits']],
        ['architecture' => 'x86-64'],
    ],
    'no architecture' => [['class' => 'processor', 'capabilities' => ['fpu' => true]], []],
    'memory of a system in two places' => [
        [
            'id' => 'memory:1',
            'class' => 'memory',
            'size' => 5,
            'children' => [['id' => 'memory', 'class' => 'memory', 'size' => 7, 'units' => 'bytes']],
        ],
        ['memory_bytes' => 12],
    ],
    'a cache is no memory' => [['id' => 'cache:0', 'class' => 'memory', 'size' => 5], []],
    'memory in another unit' => [['id' => 'memory', 'class' => 'memory', 'size' => 5, 'units' => 'x'], []],
    'memory of no size' => [['id' => 'memory', 'class' => 'memory'], []],
    'a firmware that can UEFI' => [
        ['id' => 'firmware', 'class' => 'memory', 'version' => '1.14', 'capabilities' => ['uefi' => 'x']],
        ['firmware.version' => '1.14', 'firmware.uefi_capable' => 'yes'],
    ],
    'a firmware that does not say' => [
        ['id' => 'firmware', 'class' => 'memory', 'date' => '03/02/2026', 'capabilities' => ['acpi' => 'x']],
        ['firmware.date' => '03/02/2026'],
    ],
    'a board without a revision' => [
        ['id' => 'core', 'class' => 'bus', 'product' => 'NL-F13'],
        ['board.name' => 'NL-F13'],
    ],
    'a bus that is no board' => [['id' => 'usb', 'class' => 'bus', 'product' => 'hub'], []],
    'a revision without a board' => [['id' => 'core', 'class' => 'bus', 'version' => 'rev 2'], []],
]);

it('keeps an empty bank of lshw as an empty slot', function () {
    $bank = fn (array $more): array => ['id' => 'bank:1', 'class' => 'memory', ...$more];
    $reading = LshwReader::read((string) json_encode([
        'id' => 'm',
        'class' => 'system',
        'children' => [
            $bank(['size' => 0, 'slot' => 'A']),
            $bank([]),
            $bank(['size' => 1, 'slot' => 'C', 'vendor' => 'Quarrel', 'product' => 'QM8', 'serial' => '7A']),
        ],
    ]));
    expect(array_map(fn ($module) => $module->toArray(), $reading->modules))
        ->toBe([
            ['slot' => 'A'],
            ['slot' => 'bank:1'],
            ['slot' => 'C', 'bytes' => 1, 'maker' => 'Quarrel', 'part' => 'QM8', 'serial' => '7A'],
        ]);
});
