<?php

use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

function row(Plan $plan, string $id): array
{
    return array_column($plan->assessment->all()['requirements']['rows'], null, 'id')[$id];
}

it('holds each need against what is known', function (array $facts, string $id, string $verdict, string $note) {
    $row = row(fit($facts), $id);
    expect($row['verdict'])->toBe($verdict)->and($row['note'])->toBe($note);
})->with([
    [['memory_bytes' => 4294967296], 'memory', 'meets', '0 B to spare'],
    [['memory_bytes' => 3221225472], 'memory', 'short', 'short by 1.0 GiB'],
    [['cores' => 2], 'cores', 'meets', '0 to spare'],
    [['cores' => 1], 'cores', 'short', 'short by 1'],
    [['clock_mhz' => 999], 'clock_mhz', 'short', 'short by 1 MHz'],
    [['firmware.boot_mode' => 'uefi'], 'uefi', 'meets', ''],
    [['firmware.boot_mode' => 'both'], 'uefi', 'meets after a setting', 'Start mode: both becomes uefi.'],
    [['firmware.boot_mode' => 'legacy'], 'uefi', 'meets after a setting', 'Start mode: legacy becomes uefi.'],
    [['firmware.kind' => 'bios'], 'uefi', 'short', 'This machine has no UEFI.'],
    [['firmware.secure_boot' => 'off'], 'secure_boot', 'meets', 'Capable, off at the moment.'],
    [['firmware.secure_boot' => 'on'], 'secure_boot', 'meets', 'It is set, but older devices are allowed beside it.'],
    [
        ['firmware.secure_boot' => 'on', 'firmware.older_devices' => 'off', 'firmware.boot_mode' => 'uefi'],
        'secure_boot',
        'meets',
        'Set; whether it is in force shows a reading of mokutil.',
    ],
    [['firmware.secure_boot_in_force' => 'on'], 'secure_boot', 'meets', 'In force.'],
    [['firmware.secure_boot_capable' => 'no'], 'secure_boot', 'short', 'This machine cannot check signatures.'],
    [['firmware.security_chip' => 'on'], 'security_chip', 'meets', ''],
    [
        ['firmware.security_chip' => 'hidden'],
        'security_chip',
        'meets after a setting',
        'Security chip: hidden becomes on.',
    ],
    [['security_chip.version' => '1.2'], 'security_chip', 'short', 'Its version is 1.2.'],
    [['security_chip.version' => 'none'], 'security_chip', 'short', 'This machine has no security chip.'],
]);

it('sums the rows up', function (array $facts, string $fit) {
    expect(fit($facts)->assessment->all()['requirements']['fit'])->toBe($fit);
})->with([
    [['firmware.boot_mode' => 'uefi', 'firmware.security_chip' => 'on'], 'fits'],
    [[], 'fits-after-settings'],
    [['cores' => 1], 'only-with-bypass'],
    [['firmware.kind' => 'bios'], 'cannot'],
    [['architecture' => 'arm-64', 'cores' => 1], 'cannot'],
]);

it('needs the policy for a bypass, records it and has it signed', function () {
    $off = fit(['cores' => 1]);
    expect($off->verdict()->value)->toBe('stop')
        ->and($off->blockers[0]->reason)->toContain('the bench\'s policy does not allow it')
        ->and($off->step('route.bypass'))->toBeNull();
    $recorded = fit(['cores' => 1], ['bypass' => 'recorded']);
    expect($recorded->verdict()->value)->toBe('go')
        ->and($recorded->step('route.bypass')?->instructions)
        ->toContain('The publisher may stop its updates without notice.')
        ->and($recorded->step('target.erase')?->before)->toContain('route.bypass-recorded')
        ->and($recorded->step('put-back.sign')?->instructions[1])->toContain('Requirement bypassed: cores')
        ->and(fit([], ['bypass' => 'recorded'])->step('route.bypass'))->toBeNull();
});

it('never bypasses what cannot be', function () {
    expect(fit(['architecture' => 'arm-64'], ['bypass' => 'recorded'])->verdict()->value)->toBe('stop');
});

it('says what an edition leaves unused, and holds it against nothing', function () {
    $plan = fit(
        ['memory_bytes' => 274877906944, 'sockets' => 2],
        [],
        ['edition' => 'Ferry', 'licence' => ['kind' => 'entitlement', 'edition' => 'Ferry']],
    );
    expect(row($plan, 'memory_ceiling'))->toMatchArray([
        'verdict' => 'short',
        'note' => '128.0 GiB would lie idle; another edition uses them.',
    ])
        ->and(row($plan, 'socket_ceiling')['verdict'])->toBe('short')
        ->and($plan->verdict()->value)->toBe('go')
        ->and(row(fit(['sockets' => 2]), 'socket_ceiling')['verdict'])->toBe('meets');
});

it('asks only for what a need waits for, and says what the answer decides', function () {
    $brief = Demo::brief('fairlead-13');
    unset($brief['machine']['model']);
    $plan = Cobblestone\Job\JobPlanner::plan(
        Cobblestone\Brief\Brief::fromArray([...$brief, 'machine' => [...$brief['machine'], 'kind' => 'laptop']]),
        Demo::catalogue(),
        Cobblestone\Policy\Policy::of(),
    );
    expect($plan->assessment->all()['requirements']['fit'])->toBe('fits-after-settings')
        ->and(row($plan, 'memory')['verdict'])->toBe('unknown')
        ->and(array_map(fn ($question) => $question->fact, $plan->questions))
        ->toBe(['network.driver', 'memory_bytes', 'cores'])
        ->and($plan->questions[1]->decides)->toBe('whether Tansy Desktop 7 fits. Memory: 4.0 GiB')
        ->and($plan->assessment->all()['later_questions'])->toBeGreaterThan(0);
});
