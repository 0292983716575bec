<?php

use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

function fit(array $facts, array $policy = [], array $more = []): Plan
{
    return Demo::plan('fairlead-13', ['machine' => ['facts' => ['drive.encryption' => 'none', ...$facts]], ...$more], $policy);
}

function row(Plan $plan, string $id): array
{
    return array_column($plan->assessment['requirements']['rows'], null, 'id')[$id];
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
    [['firmware.secure_boot' => 'on', 'firmware.older_devices' => 'off', 'firmware.boot_mode' => 'uefi'], 'secure_boot', 'meets', 'Set; whether it is in force shows a reading of mokutil.'],
    [['firmware.secure_boot_in_force' => 'on'], 'secure_boot', 'meets', 'In force.'],
    [['firmware.secure_boot_capable' => 'no'], 'secure_boot', 'short', 'This machine cannot check signatures.'],
    [['firmware.security_chip' => 'on'], 'security_chip', 'meets', ''],
    [['firmware.security_chip' => 'hidden'], 'security_chip', 'meets after a setting', 'Security chip: hidden becomes on.'],
    [['security_chip.version' => '1.2'], 'security_chip', 'short', 'Its version is 1.2.'],
    [['security_chip.version' => 'none'], 'security_chip', 'short', 'This machine has no security chip.'],
]);

it('sums the rows up', function (array $facts, string $fit) {
    expect(fit($facts)->assessment['requirements']['fit'])->toBe($fit);
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
        ->and($recorded->step('route.bypass')?->instructions)->toContain('The publisher may stop its updates without notice.')
        ->and($recorded->step('target.erase')?->before)->toContain('route.bypass-recorded')
        ->and($recorded->step('put-back.sign')?->instructions[1])->toContain('Requirement bypassed: cores')
        ->and(fit([], ['bypass' => 'recorded'])->step('route.bypass'))->toBeNull();
});

it('never bypasses what cannot be', function () {
    expect(fit(['architecture' => 'arm-64'], ['bypass' => 'recorded'])->verdict()->value)->toBe('stop');
});

it('says what an edition leaves unused, and holds it against nothing', function () {
    $plan = fit(['memory_bytes' => 274877906944, 'sockets' => 2], [], ['edition' => 'Ferry', 'licence' => ['kind' => 'entitlement', 'edition' => 'Ferry']]);
    expect(row($plan, 'memory_ceiling'))->toMatchArray(['verdict' => 'short', 'note' => '128.0 GiB would lie idle; another edition uses them.'])
        ->and(row($plan, 'socket_ceiling')['verdict'])->toBe('short')
        ->and($plan->verdict()->value)->toBe('go')
        ->and(row(fit(['sockets' => 2]), 'socket_ceiling')['verdict'])->toBe('meets');
});

it('asks only for what a need waits for, and says what the answer decides', function () {
    $brief = Demo::brief('fairlead-13');
    unset($brief['machine']['model']);
    $plan = Cobblestone\Job\JobPlanner::plan(Cobblestone\Brief\Brief::fromArray([...$brief, 'machine' => [...$brief['machine'], 'kind' => 'laptop']]), Demo::catalogue(), Cobblestone\Policy\Policy::of());
    expect($plan->assessment['requirements']['fit'])->toBe('fits-after-settings')
        ->and(row($plan, 'memory')['verdict'])->toBe('unknown')
        ->and(array_map(fn ($question) => $question->fact, $plan->questions))->toBe(['network.driver', 'memory_bytes', 'cores'])
        ->and($plan->questions[1]->decides)->toBe('whether Tansy Desktop 7 fits: it needs 4.0 GiB')
        ->and($plan->assessment['later_questions'])->toBeGreaterThan(0);
});

it('matches the licence to the edition and refuses the wrong one in advance', function (array $licence, string $sentence) {
    $plan = fit([], [], ['licence' => $licence]);
    expect($plan->verdict()->value)->toBe('stop')->and(implode(' ', array_column($plan->blockers, 'reason')))->toContain($sentence);
})->with([
    [['kind' => 'retail', 'edition' => 'Ferry'], 'The key fits edition Ferry of Tansy Desktop 7, and Dock is to be installed'],
    [['kind' => 'firmware-key', 'edition' => 'Ferry'], 'the installer would pick Ferry by itself'],
    [['kind' => 'entitlement', 'edition' => 'Fleet'], 'fits edition Fleet'],
]);

it('activates by the kind of licence', function (array $licence, string $title, string $line) {
    $step = fit([], [], ['licence' => $licence])->step('activation.check');
    expect($step?->title)->toBe($title)->and(implode(' ', $step->instructions))->toContain($line);
})->with([
    [['kind' => 'retail', 'edition' => 'dock'], 'Activate', 'The owner types the key'],
    [['kind' => 'entitlement'], 'Activate', 'No key is typed'],
    [['kind' => 'none'], 'Licence due', 'a licence is due'],
    [['kind' => 'unclear'], 'Licence due', 'Do not type a key whose origin is not clear'],
    [['kind' => 'none', 'edition' => 'Ferry'], 'Licence due', 'due'],
]);

it('shows the end of a key and no more', function (string $key, string $shown) {
    expect(Cobblestone\Assessment\Licence::masked($key))->toBe($shown);
})->with([['ABCDE-FGHIJ-KLMNO', '…KLMNO'], ['AB-12', '…12'], ['', '…']]);

it('counts days of support from the day of the brief, and none without one', function () {
    $support = fn (?string $day) => Demo::plan('upgrade', $day === null ? ['read_at' => null] : ['read_at' => $day])->assessment['support'];
    expect($support('2026-11-24T09:00')[0]['sentence'])->toBe('Tansy Desktop 6 lost its support 42 days ago, on 2026-10-13.')
        ->and($support('2026-10-13T09:00')[0]['sentence'])->toContain('for 0 more days')
        ->and($support('2031-01-01T00:00')[1]['sentence'])->toBe('Tansy Desktop 7 is supported for 286 more days, until 2031-10-14.')
        ->and($support('2026-11-24T09:00')[1]['days'])->toBe(1785)
        ->and($support(null)[0]['days'])->toBeNull();
});

it('says what the owner depends on and what is known of it', function () {
    expect(Demo::plan('upgrade')->assessment['depends'])->toBe([
        ['what' => 'harbour receipt printer', 'standing' => 'does not work', 'why' => 'Its maker made no driver after Tansy Desktop 6. Instead: the plain-text printer of the counter.'],
        ['what' => 'harbour map', 'standing' => 'not on record', 'why' => 'Try it in Tansy Desktop 7 or ask its maker before anything is erased.'],
    ])
        ->and(Demo::plan('upgrade', ['depends' => ['the old Tidebook Ledger 3 of the office']])->assessment['depends'][0]['standing'])->toBe('does not work');
});

it('has the owner sign out before a machine with an account lock is erased', function () {
    $unknown = Demo::plan('cable-restore', ['machine' => ['facts' => ['owner.keep' => 'nothing']]]);
    expect($unknown->questions[0]->fact)->toBe('owner.lock')
        ->and($unknown->step('target.restore')?->before)->toContain('owner.account-out')
        ->and($unknown->step('protect.account-out'))->not->toBeNull();
    expect(Demo::plan('cable-restore', ['machine' => ['facts' => ['owner.keep' => 'nothing', 'owner.lock' => 'none']]])->step('protect.account-out'))->toBeNull();
    expect(fit(['machine.managed' => 'yes'])->blockers[0]->reason)->toContain('goes back to its administrators');
});

it('uses what comes from elsewhere only by policy and with source, hash and reason', function () {
    $extra = ['what' => 'trimmed build', 'source' => 'a forum', 'sha256' => str_repeat('a', 64), 'reason' => 'small drive'];
    expect(fit([], [], ['extras' => [$extra]])->blockers[0]->reason)->toContain('does not allow')
        ->and(fit([], ['extras' => 'recorded'], ['extras' => [['what' => 'trimmed build']]])->blockers[0]->reason)->toContain('its SHA-256');
    $plan = fit([], ['extras' => 'recorded'], ['extras' => [$extra]]);
    expect($plan->verdict()->value)->toBe('go')
        ->and($plan->step('route.extras')?->instructions[0])->toContain(str_repeat('a', 64))
        ->and($plan->step('target.erase')?->before)->toContain('owner.extras-recorded')
        ->and($plan->step('put-back.sign'))->not->toBeNull();
});

it('lets nothing through bad memory and takes it back once the sheet acquits it', function () {
    $sheet = fn (array $tests) => ['memory' => ['modules' => ['M1' => 8, 'M2' => 8], 'slots' => ['Slot A', 'Slot B'], 'tests' => $tests]];
    $bad = ['placed' => ['M1' => 'Slot A', 'M2' => 'Slot B'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'errors'];
    $plan = fit([], [], $sheet([$bad]));
    foreach (['protect.back-up', 'target.erase'] as $step) {
        expect(array_map(fn ($gate) => $gate->fact, $plan->step($step)->gates))->toContain('cleared.memory');
    }
    expect($plan->assessment['memory'])->toMatchArray(['fact' => 'bad', 'trusted' => false, 'settled' => false])
        ->and($plan->assessment['memory']['next'])->not->toBeNull();
    $clean = fit([], [], $sheet([['outcome' => 'clean', 'passes' => 4] + $bad]));
    expect($clean->assessment['memory']['fact'])->toBe('trusted')
        ->and($clean->step('protect.back-up')?->gates)->toBe([])
        ->and(fit([], [], $sheet([]))->assessment['memory']['fact'])->toBe('untested');
});

it('fills the memory sheet in from a reading', function () {
    $module = fn (string $slot, ?int $gib, ?int $set = 3200, bool $soldered = false) => new Cobblestone\Machine\MemoryModule($slot, $gib === null ? null : Cobblestone\Quantity\Bytes::of($gib * 1024 ** 3), ratedTransfers: 3200, setTransfers: $set, soldered: $soldered);
    $sheet = Cobblestone\Assessment\Memory\MemorySheet::prefill(...);
    expect($sheet([$module('A', 8), $module('B', null), $module('C', 16)]))->toBe(['modules' => ['M1' => 8, 'M2' => 16], 'slots' => ['A', 'B', 'C'], 'profile' => 'standard', 'soldered' => false, 'tests' => []])
        ->and($sheet([$module('A', 8, 3600)])['profile'])->toBe('faster')
        ->and($sheet([$module('A', 8, soldered: true)])['soldered'])->toBeTrue()
        ->and($sheet([$module('A', null)]))->toBeNull();
});
