<?php

it('tells a start by UEFI from one that a setting gives', function (array $facts, string $verdict, ?string $note) {
    $row = onlyRow(needing([], 'uefi'), $facts);
    expect([$row['verdict'], $row['note'] ?? null])->toBe([$verdict, $note]);
})->with([
    [[], 'unknown', null],
    [['firmware.boot_mode' => 'legacy'], 'unknown', null],
    [['firmware.kind' => 'uefi'], 'meets', null],
    [['firmware.kind' => 'uefi', 'firmware.boot_mode' => 'uefi'], 'meets', null],
    [
        ['firmware.kind' => 'uefi', 'firmware.boot_mode' => 'both'],
        'meets after a setting',
        'Start mode: both becomes uefi.',
    ],
    [['firmware.kind' => 'bios', 'firmware.boot_mode' => 'legacy'], 'short', 'This machine has no UEFI.'],
]);

it('tells capable of Secure Boot from having it in force', function (
    string $need,
    array $facts,
    string $needs,
    string $has,
    string $verdict,
    ?string $note,
) {
    $row = onlyRow(needing(['secure_boot' => $need]), $facts);
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])->toBe([$needs, $has, $verdict, $note]);
})->with([
    'capable: nothing known' => ['capable', [], 'capable of it', 'unknown', 'unknown', null],
    'capable: off' => [
        'capable',
        ['firmware.secure_boot' => 'off'],
        'capable of it',
        'off (lshw)',
        'meets',
        'Capable, off at the moment.',
    ],
    'capable: set' => [
        'capable',
        ['firmware.secure_boot' => 'on'],
        'capable of it',
        'on (lshw)',
        'meets',
        'Set; whether it is in force shows a reading of mokutil.',
    ],
    'capable: not' => [
        'capable',
        ['firmware.secure_boot_capable' => 'no', 'firmware.secure_boot' => 'off'],
        'capable of it',
        'off (lshw)',
        'short',
        'This machine cannot check signatures.',
    ],
    'in force: read so' => [
        'in-force',
        ['firmware.secure_boot' => 'on', 'firmware.secure_boot_in_force' => 'on'],
        'in force',
        'on (lshw)',
        'meets',
        'In force.',
    ],
    'in force: only set' => [
        'in-force',
        ['firmware.secure_boot' => 'on'],
        'in force',
        'on (lshw)',
        'unknown',
        'Set; whether it is in force shows a reading of mokutil.',
    ],
    'in force: set, without a platform key' => [
        'in-force',
        ['firmware.secure_boot' => 'on', 'firmware.key_mode' => 'setup'],
        'in force',
        'on (lshw)',
        'meets after a setting',
        'It is set, but there is no platform key: the machine stands in setup mode.',
    ],
    'in force: set, older devices beside it' => [
        'in-force',
        ['firmware.secure_boot' => 'on', 'firmware.older_devices' => 'allowed'],
        'in force',
        'on (lshw)',
        'meets after a setting',
        'It is set, but older devices are allowed beside it.',
    ],
    'in force: off' => [
        'in-force',
        ['firmware.secure_boot' => 'off'],
        'in force',
        'off (lshw)',
        'meets after a setting',
        'Has to be turned on, with keys enrolled.',
    ],
    'in force: set, and read as not' => [
        'in-force',
        ['firmware.secure_boot' => 'on', 'firmware.secure_boot_in_force' => 'off'],
        'in force',
        'on (lshw)',
        'meets after a setting',
        'Has to be turned on, with keys enrolled.',
    ],
    'in force: read alone' => [
        'in-force',
        ['firmware.secure_boot_in_force' => 'off'],
        'in force',
        'off (lshw)',
        'meets after a setting',
        'Has to be turned on, with keys enrolled.',
    ],
    'in force: no UEFI' => [
        'in-force',
        ['firmware.kind' => 'bios'],
        'in force',
        'unknown',
        'short',
        'This machine cannot check signatures.',
    ],
]);

it('weighs the security chip\'s version before its setting', function (
    ?string $version,
    array $facts,
    string $needs,
    string $has,
    string $verdict,
    ?string $note,
) {
    $row = onlyRow(needing($version === null ? [] : ['security_chip_version' => $version], chip: true), $facts);
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])->toBe([$needs, $has, $verdict, $note]);
})->with([
    ['2.0', [], 'version 2.0', 'unknown', 'unknown', null],
    ['2.0', ['security_chip.version' => '2.0'], 'version 2.0', 'version 2.0 (lshw)', 'meets', null],
    [
        '2.0',
        ['security_chip.version' => '2.0', 'firmware.security_chip' => 'off'],
        'version 2.0',
        'version 2.0 (lshw)',
        'meets after a setting',
        'Security chip: off becomes on.',
    ],
    [
        '2.0',
        ['security_chip.version' => '1.2', 'firmware.security_chip' => 'hidden'],
        'version 2.0',
        'version 1.2 (lshw)',
        'short',
        'Its version is 1.2.',
    ],
    [
        '2.0',
        ['security_chip.version' => 'none'],
        'version 2.0',
        'version none (lshw)',
        'short',
        'This machine has no security chip.',
    ],
    [
        null,
        ['security_chip.version' => 'none'],
        'present',
        'version none (lshw)',
        'short',
        'This machine has no security chip.',
    ],
    [null, ['security_chip.version' => '1.2'], 'present', 'version 1.2 (lshw)', 'meets', null],
    [null, ['firmware.security_chip' => 'on'], 'present', 'on (lshw)', 'meets', null],
    [
        null,
        ['firmware.security_chip' => 'hidden'],
        'present',
        'hidden (lshw)',
        'meets after a setting',
        'Security chip: hidden becomes on.',
    ],
]);

it('looks for a graphics feature among those read', function (mixed $features, string $has, string $verdict) {
    $row = onlyRow(
        needing(['graphics_feature' => 'level 12']),
        $features === null ? [] : ['graphics.features' => $features],
    );
    expect([$row['needs'], $row['has'], $row['verdict']])->toBe(['level 12', $has, $verdict]);
})->with([
    [['level 11', 'level 12'], 'level 11, level 12 (lshw)', 'meets'],
    ['level 11, level 12', 'level 11, level 12 (lshw)', 'meets'],
    [['level 11'], 'level 11 (lshw)', 'short'],
    ['level 12b', 'level 12b (lshw)', 'short'],
    [null, 'unknown', 'unknown'],
]);
