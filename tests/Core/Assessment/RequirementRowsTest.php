<?php

use Cobblestone\Assessment\Fit;
use Cobblestone\Assessment\Requirement;
use Cobblestone\Assessment\RequirementRows;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Entries;

/** @param  array<string, mixed>  $needs */
function needing(array $needs, string $bootMode = 'either', bool $chip = false, array $more = []): SystemProfile
{
    return Entries::system(['id' => 'x', 'name' => 'Heron 1', 'as_of' => '2026-11', 'firmware' => ['boot_mode' => $bootMode, 'secure_boot_after' => 'any', 'security_chip' => $chip], 'needs' => $needs, ...$more]);
}

/** @param  array<string, mixed>  $facts */
function machineKnowing(array $facts): Machine
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, Source::Reading, 'lshw'));
    }

    return new Machine('x', Kind::Laptop, $sheet);
}

/** @return array<string, mixed>|null the only row, without what is false or empty */
function onlyRow(SystemProfile $system, array $facts, ?Drive $target = null, ?string $edition = null): ?array
{
    $rows = RequirementRows::of(machineKnowing($facts), $system, null, $target, $edition);
    expect(count($rows))->toBeLessThan(2);

    return $rows === [] ? null : array_filter($rows[0]->toArray(), fn (mixed $value): bool => $value !== '' && $value !== false);
}

it('needs nothing where the system names no need', function () {
    expect(onlyRow(needing([]), ['memory_bytes' => 1, 'cores' => 1, 'firmware.kind' => 'bios', 'security_chip.version' => 'none']))->toBeNull();
    expect(Requirements::assess(machineKnowing([]), needing([]), null, null, null, 'off')->contribution->decisions)->toBe([]);
    expect(Requirements::assess(machineKnowing([]), needing([]), null, null, null, 'off')->fit)->toBe(Fit::Fits);
});

it('names every architecture a system is made for', function (array $facts, string $has, string $verdict, ?string $note) {
    $row = onlyRow(needing(['architectures' => ['x86-64', 'arm-64']]), $facts);
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])->toBe(['x86-64 or arm-64', $has, $verdict, $note]);
})->with([
    [['architecture' => 'arm-64'], 'arm-64 (lshw)', 'meets', null],
    [['architecture' => 'x86-32'], 'x86-32 (lshw)', 'short', 'Choose an image made for x86-32.'],
    [[], 'unknown', 'unknown', null],
]);

it('counts to the unit', function (string $need, int $least, string $fact, mixed $value, string $needs, string $has, string $verdict, ?string $note) {
    $row = onlyRow(needing([$need => $least]), $value === null ? [] : [$fact => $value]);
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])->toBe([$needs, $has, $verdict, $note]);
})->with([
    ['memory_bytes', 2048, 'memory_bytes', 2048, '2.0 KiB', '2.0 KiB (lshw)', 'meets', '0 B to spare'],
    ['memory_bytes', 2048, 'memory_bytes', 2047, '2.0 KiB', '2.0 KiB (lshw)', 'short', 'short by 1 B'],
    ['memory_bytes', 2048, 'memory_bytes', 'much', '2.0 KiB', 'unknown', 'unknown', null],
    ['cores', 4, 'cores', 5, '4', '5 (lshw)', 'meets', '1 to spare'],
    ['cores', 4, 'cores', '4', '4', '4 (lshw)', 'meets', '0 to spare'],
    ['cores', 4, 'cores', 3, '4', '3 (lshw)', 'short', 'short by 1'],
    ['cores', 4, 'cores', 'four', '4', 'unknown', 'unknown', null],
    ['clock_mhz', 1000, 'clock_mhz', 1001, '1000 MHz', '1001 MHz (lshw)', 'meets', '1 MHz to spare'],
    ['display_pixels', 720, 'display.pixels', 719, '720 pixels', '719 pixels (lshw)', 'short', 'short by 1 pixels'],
    ['display_pixels', 720, 'display.pixels', null, '720 pixels', 'unknown', 'unknown', null],
]);

it('measures the drive that was read, and the assumed one only where none was', function (?int $read, ?int $assumed, string $has, string $verdict, ?string $note) {
    $row = onlyRow(needing(['drive_bytes' => 64_000]), $assumed === null ? [] : ['drive_bytes' => $assumed], $read === null ? null : new Drive('sda', Bytes::of($read)));
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])->toBe(['64.0 kB', $has, $verdict, $note]);
})->with([
    'read' => [64_000, 1, '64.0 kB (reading of the drive)', 'meets', '0 B to spare'],
    'read, short' => [62_000, 99_000, '62.0 kB (reading of the drive)', 'short', 'short by 2.0 kB'],
    'assumed' => [null, 65_500, '65.5 kB (lshw)', 'meets', '1.5 kB to spare'],
    'neither' => [null, null, 'unknown', 'unknown', null],
]);

it('tells a start by UEFI from one that a setting gives', function (array $facts, string $verdict, ?string $note) {
    $row = onlyRow(needing([], 'uefi'), $facts);
    expect([$row['verdict'], $row['note'] ?? null])->toBe([$verdict, $note]);
})->with([
    [[], 'unknown', null],
    [['firmware.boot_mode' => 'legacy'], 'unknown', null],
    [['firmware.kind' => 'uefi'], 'meets', null],
    [['firmware.kind' => 'uefi', 'firmware.boot_mode' => 'uefi'], 'meets', null],
    [['firmware.kind' => 'uefi', 'firmware.boot_mode' => 'both'], 'meets after a setting', 'Start mode: both becomes uefi.'],
    [['firmware.kind' => 'bios', 'firmware.boot_mode' => 'legacy'], 'short', 'This machine has no UEFI.'],
]);

it('tells capable of Secure Boot from having it in force', function (string $need, array $facts, string $needs, string $has, string $verdict, ?string $note) {
    $row = onlyRow(needing(['secure_boot' => $need]), $facts);
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])->toBe([$needs, $has, $verdict, $note]);
})->with([
    'capable: nothing known' => ['capable', [], 'capable of it', 'unknown', 'unknown', null],
    'capable: off' => ['capable', ['firmware.secure_boot' => 'off'], 'capable of it', 'off (lshw)', 'meets', 'Capable, off at the moment.'],
    'capable: set' => ['capable', ['firmware.secure_boot' => 'on'], 'capable of it', 'on (lshw)', 'meets', 'Set; whether it is in force shows a reading of mokutil.'],
    'capable: not' => ['capable', ['firmware.secure_boot_capable' => 'no', 'firmware.secure_boot' => 'off'], 'capable of it', 'off (lshw)', 'short', 'This machine cannot check signatures.'],
    'in force: read so' => ['in-force', ['firmware.secure_boot' => 'on', 'firmware.secure_boot_in_force' => 'on'], 'in force', 'on (lshw)', 'meets', 'In force.'],
    'in force: only set' => ['in-force', ['firmware.secure_boot' => 'on'], 'in force', 'on (lshw)', 'unknown', 'Set; whether it is in force shows a reading of mokutil.'],
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
    'in force: off' => ['in-force', ['firmware.secure_boot' => 'off'], 'in force', 'off (lshw)', 'meets after a setting', 'Has to be turned on, with keys enrolled.'],
    'in force: set, and read as not' => ['in-force', ['firmware.secure_boot' => 'on', 'firmware.secure_boot_in_force' => 'off'], 'in force', 'on (lshw)', 'meets after a setting', 'Has to be turned on, with keys enrolled.'],
    'in force: read alone' => ['in-force', ['firmware.secure_boot_in_force' => 'off'], 'in force', 'off (lshw)', 'meets after a setting', 'Has to be turned on, with keys enrolled.'],
    'in force: no UEFI' => ['in-force', ['firmware.kind' => 'bios'], 'in force', 'unknown', 'short', 'This machine cannot check signatures.'],
]);

it('weighs the security chip\'s version before its setting', function (?string $version, array $facts, string $needs, string $has, string $verdict, ?string $note) {
    $row = onlyRow(needing($version === null ? [] : ['security_chip_version' => $version], chip: true), $facts);
    expect([$row['needs'], $row['has'], $row['verdict'], $row['note'] ?? null])->toBe([$needs, $has, $verdict, $note]);
})->with([
    ['2.0', [], 'version 2.0', 'unknown', 'unknown', null],
    ['2.0', ['security_chip.version' => '2.0'], 'version 2.0', 'version 2.0 (lshw)', 'meets', null],
    ['2.0', ['security_chip.version' => '2.0', 'firmware.security_chip' => 'off'], 'version 2.0', 'version 2.0 (lshw)', 'meets after a setting', 'Security chip: off becomes on.'],
    ['2.0', ['security_chip.version' => '1.2', 'firmware.security_chip' => 'hidden'], 'version 2.0', 'version 1.2 (lshw)', 'short', 'Its version is 1.2.'],
    ['2.0', ['security_chip.version' => 'none'], 'version 2.0', 'version none (lshw)', 'short', 'This machine has no security chip.'],
    [null, ['security_chip.version' => 'none'], 'present', 'version none (lshw)', 'short', 'This machine has no security chip.'],
    [null, ['security_chip.version' => '1.2'], 'present', 'version 1.2 (lshw)', 'meets', null],
    [null, ['firmware.security_chip' => 'on'], 'present', 'on (lshw)', 'meets', null],
    [null, ['firmware.security_chip' => 'hidden'], 'present', 'hidden (lshw)', 'meets after a setting', 'Security chip: hidden becomes on.'],
]);

it('looks for a graphics feature among those read', function (mixed $features, string $has, string $verdict) {
    $row = onlyRow(needing(['graphics_feature' => 'level 12']), $features === null ? [] : ['graphics.features' => $features]);
    expect([$row['needs'], $row['has'], $row['verdict']])->toBe(['level 12', $has, $verdict]);
})->with([
    [['level 11', 'level 12'], 'level 11, level 12 (lshw)', 'meets'],
    ['level 11, level 12', 'level 11, level 12 (lshw)', 'meets'],
    [['level 11'], 'level 11 (lshw)', 'short'],
    ['level 12b', 'level 12b (lshw)', 'short'],
    [null, 'unknown', 'unknown'],
]);

it('says what lies idle above the ceiling of an edition, and only then', function (array $facts, string $id, string $verdict, ?string $note) {
    $row = onlyRow(needing([], more: ['ceilings' => ['Dock' => ['memory_bytes' => 4096, 'sockets' => 1]]]), $facts, null, 'Dock');
    expect([$row['id'], $row['verdict'], $row['note'] ?? null])->toBe([$id, $verdict, $note]);
})->with([
    [['memory_bytes' => 4096], 'memory_ceiling', 'meets', null],
    [['memory_bytes' => 5120], 'memory_ceiling', 'short', '1.0 KiB would lie idle; another edition uses them.'],
    [['sockets' => 1], 'socket_ceiling', 'meets', null],
    [['sockets' => '2'], 'socket_ceiling', 'short', 'The others would lie idle; another edition uses them.'],
]);

it('knows no ceiling without the edition or without a reading', function () {
    $system = needing([], more: ['ceilings' => ['Dock' => ['memory_bytes' => 4096, 'sockets' => 1]]]);
    expect(onlyRow($system, ['memory_bytes' => 5120], null, 'Ferry'))->toBeNull();
    expect(onlyRow($system, ['memory_bytes' => 5120]))->toBeNull();
    expect(onlyRow($system, [], null, 'Dock'))->toBeNull();
});

it('tells which needs may be bypassed, and takes the hardest for the verdict', function () {
    $system = needing(['memory_bytes' => 2048, 'cores' => 4], more: ['bypass' => ['of' => ['cores'], 'consequences' => ['Updates may end.']]]);
    $assess = fn (array $facts, string $school) => Requirements::assess(machineKnowing($facts), $system, null, null, null, $school);
    $both = $assess(['memory_bytes' => 1024, 'cores' => 2], 'recorded');
    expect(array_map(fn (Requirement $row): bool => $row->bypassable, $both->rows))->toBe([false, true]);
    expect($both->fit)->toBe(Fit::Cannot);
    expect($both->contribution->steps)->toBe([]);
    expect(array_column($both->contribution->blockers, 'reason'))->toBe(['Heron 1 needs Memory: 2.0 KiB; this machine: 1.0 KiB (lshw). Short by 1.0 KiB.']);
    $cores = $assess(['memory_bytes' => 2048, 'cores' => 2], 'recorded');
    expect($cores->fit)->toBe(Fit::OnlyWithBypass);
    expect($cores->contribution->blockers)->toBe([]);
    expect($cores->contribution->steps[0]->instructions)->toBe(['Tell the owner what is bypassed: cores.', 'Updates may end.', 'Later upgrades and repairs need the same bypass again: it is printed on the handover sheet.']);
    expect(array_column($assess(['memory_bytes' => 2048, 'cores' => 2], 'off')->contribution->blockers, 'reason'))->toBe(['Heron 1 needs Cores: 4; this machine: 2 (lshw). Short by 2. It can be bypassed, but the bench\'s policy does not allow it.']);
    expect($assess(['memory_bytes' => 2048], 'off')->contribution->decisions[0]->chosen)->toBe('fits, as far as is known');
    expect(array_map(fn ($question) => $question->fact, $assess(['memory_bytes' => 2048], 'off')->contribution->questions))->toBe(['cores']);
});

it('assumes nothing of a new drive that nobody has read', function () {
    $rows = fn (bool $newDrive, ?Drive $target): array => RequirementRows::of(machineKnowing(['drive_bytes' => 65_500]), needing(['drive_bytes' => 64_000]), null, $target, null, $newDrive);
    expect($rows(true, null)[0]->has)->toBe('unknown');
    expect($rows(true, new Drive('sda', Bytes::of(64_000)))[0]->has)->toBe('64.0 kB (reading of the drive)');
    expect($rows(false, null)[0]->has)->toBe('65.5 kB (lshw)');
});

it('says in its title that not all is known', function () {
    $title = fn (array $facts): string => Requirements::assess(machineKnowing($facts), needing(['cores' => 4]), null, null, null, 'off')->toArray()['title'];
    expect($title([]))->toBe('fits, as far as is known');
    expect($title(['cores' => 4]))->toBe('fits');
    expect($title(['cores' => 2]))->toBe('cannot');
});
