<?php

use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

// Settings begun from the firmware's defaults: a school of the bench (rule F3). Fairlead 13 has four settings; its
// defaults are both, allowed, off, hidden.

/** @param  array<string, mixed>  $facts */
function defaultsPlan(array $facts = [], string $brief = 'fairlead-13', string $school = 'defaults'): Plan
{
    $known = Demo::brief($brief)['machine']['facts'] ?? [];

    return Demo::plan($brief, ['machine' => ['facts' => [...$known, ...$facts]]], ['firmware_start' => $school]);
}

/** @return list<string> what the table of the stone changes, in order */
function setInTable(?Step $step): array
{
    return array_column($step->rows ?? [], 'becomes', 'where') === [] ? [] : array_map(
        static fn (array $row): string => "{$row['where']}: {$row['was']} → {$row['becomes']}",
        $step->rows ?? [],
    );
}

it('loads the defaults first and then sets what has to differ, whatever was set', function (array $facts) {
    $step = defaultsPlan($facts)->step('firmware.set');
    expect($step?->title)->toBe('Load the defaults, then set 4 settings')
        ->and(setInTable($step))->toBe([
            'the entry that loads the defaults: as recorded → loaded',
            'Start › Start mode: both → uefi',
            'Start › Older devices: allowed → off',
            'Keys › Secure Boot: off → on',
            'Keys › Security chip: hidden → on',
        ])
        ->and($step?->instructions[0])->toStartWith('Find the entry that loads the defaults')
        ->and($step?->before)->toContain('firmware.recorded');
})->with([
    'nobody has looked' => [[]],
    'all is right already' => [[
        'firmware.boot_mode' => 'uefi', 'firmware.older_devices' => 'off', 'firmware.secure_boot' => 'on',
        'firmware.security_chip' => 'on',
    ]],
]);

it('tells the rehearsal all of it: the defaults, and what is set over them', function () {
    $boots = defaultsPlan()->step('firmware.set')->boots ?? [];
    expect($boots)->toHaveCount(1)->and(json_encode($boots[0]))->toContain('"firmware.boot_mode":"uefi"')
        ->toContain('"firmware.secure_boot":"on"');
    $capstan = json_encode(defaultsPlan([], 'capstan-t3')->step('firmware.set')->boots ?? []);
    expect($capstan)->toContain('"firmware.memory_profile":"standard"');
});

it('says where it starts from only where the bench departs from the usual', function (
    array $facts,
    string $brief,
    string $school,
    ?string $chosen,
) {
    expect(defaultsPlan($facts, $brief, $school)->decision('firmware.start')?->chosen)->toBe($chosen);
})->with([
    'as usual' => [[], 'fairlead-13', 'as-is', null],
    'defaults' => [[], 'fairlead-13', 'defaults', 'the firmware\'s defaults'],
    'a machine nobody has described' => [[], 'unknown-laptop', 'defaults', 'what is set now'],
    'a system that stays' => [
        ['target.stays' => '2048, 206848, 499935232', 'target.other_system' => 'tansy-desktop-6'],
        'fairlead-13',
        'defaults',
        'what is set now',
    ],
]);

it('sets as before under a system that stays', function () {
    $stays = ['target.stays' => '2048, 206848, 499935232', 'target.other_system' => 'tansy-desktop-6'];
    expect(defaultsPlan($stays)->step('firmware.set')?->title)->toBe('Set 4 settings')
        ->and(defaultsPlan($stays)->decision('firmware.start')?->reasons)
        ->toBe(['A system stays that was installed with the present settings.']);
});

it('waits for the copy where something is kept, as loading may change what the old system is bound to', function () {
    $gates = static fn (string $school): array => array_map(
        static fn ($gate): string => $gate->id,
        defaultsPlan([], 'fairlead-13', $school)->step('firmware.set')->gates ?? [],
    );
    expect($gates('defaults'))->not->toBe([]);
});

it('makes a path of every kind of job', function (string $brief) {
    $plan = defaultsPlan([], $brief);
    expect(count($plan->steps))->toBeGreaterThan(3);
})->with(['drive-swap', 'new-capstan', 'pocket-lantern', 'capstan-t3', 'upgrade', 'repair', 'firmware-update']);

it('decides on the machine as it will stand, not as it was left', function () {
    // Secure Boot stands off and its default is on: an unsigned loader still needs it off afterwards.
    $plan = defaultsPlan(['firmware.secure_boot' => 'off'], 'pocket-lantern');
    $default = Demo::catalogue()->machines()['wickley-pocket-lantern']->setting('secure_boot')?->default;
    $becomes = json_encode($plan->step('firmware.set')->boots ?? []);
    expect($default)->toBe('on')->and($becomes)->toContain('"firmware.secure_boot":"off"');
});
