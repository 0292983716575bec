<?php

use Cobblestone\Install\PartitionPlan;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Scheme;
use Tests\Support\Demo;

$facts = fn ($plan) => array_map(fn ($question) => $question->fact, $plan->questions);

it('never guesses the target among several drives', function () use ($facts) {
    $plan = Demo::plan('capstan-t3', ['machine' => ['facts' => ['firmware.secure_boot' => 'on']]]);
    $question = array_values(array_filter($plan->questions, fn ($question) => $question->fact === 'target.drive'))[0];
    expect($plan->verdict()->value)
        ->toBe('hold')
        ->and($facts($plan))
        ->toContain('target.drive')
        ->and(array_keys($question->options))
        ->toBe(['SM5-2301-10C7F2', 'KB-9917-4402', 'KB-9917-4488'])
        ->and(implode(' ', $question->options))
        ->toContain('sda · Kelpbed 2T · 2.0 TB · serial KB-9917-4402 · SATA socket · holds Timetables')
        ->and($plan->step('target.erase')?->required())
        ->toContain('answered.target.drive')
        ->and(json_encode([...$plan->toArray(), 'assessment' => []]))
        ->not->toContain('"path"');
});

it('takes the named one and detaches the others that hold data', function () {
    $plan = Demo::plan('capstan-t3');
    expect($plan->step('target.erase')?->confirmation?->serial)
        ->toBe('SM5-2301-10C7F2')
        ->and($plan->step('target.erase')?->before)
        ->toContain('drives.detached')
        ->and($plan->step('hardware.detach')?->opens)
        ->toHaveCount(2)
        ->and(implode(' ', $plan->step('hardware.detach')->cautions ?? []))
        ->not->toContain('battery')
        ->toContain('mains out')
        ->and($plan->step('put-back.drives')?->removes)
        ->toBe(['drives.detached'])
        ->and(array_map(fn ($item) => $item->what, $plan->gather))
        ->toContain('screwdriver and a tray');
});

it('takes the only internal drive and asks for its serial as printed', function () {
    $confirmation = Demo::plan('fairlead-13')->step('target.erase')?->confirmation;
    expect($confirmation?->serial)
        ->toBe('SM3-2207-88415D')
        ->and($confirmation?->typed)
        ->toBeTrue()
        ->and($confirmation?->accepts('415d'))
        ->toBeTrue()
        ->and($confirmation?->bytes)
        ->toBe(256060514304)
        ->and($confirmation?->loses)
        ->toContain('Old system (238.3 GiB)');
});

it('asks for a reading where nobody has read the drives, and takes typed serial and bytes', function () use ($facts) {
    $brief = fn (array $facts) => Demo::plan('fairlead-13', ['machine' => ['lsblk' => null, 'facts' => $facts]]);
    expect($facts($brief([])))
        ->toContain('target.reading')
        ->and($brief([])->layouts->all()['target']['assumed'])
        ->toBeTrue()
        ->and($brief([])->step('target.erase')?->confirmation?->typed)
        ->toBeFalse()
        ->and($facts($brief(['target.serial' => 'S-99887', 'target.bytes' => '256060514304'])))
        ->not->toContain('target.reading')->toContain('target.others')
        ->and(
            $brief(['target.serial' => 'S-99887', 'target.bytes' => '256060514304'])
                ->step('target.erase')
                ?->confirmation?->accepts('9887'),
        )
        ->toBeTrue()
        ->and($facts($brief(['target.serial' => ' ', 'target.bytes' => 5])))
        ->toContain('target.reading')
        ->and(fn () => $brief(['target.serial' => 'S-99887', 'target.bytes' => 'large']))
        ->toThrow(Cobblestone\Brief\BriefFault::class, 'cannot be read as a size');
    $typed = ['target.serial' => 'S-99887', 'target.bytes' => '256060514304'];
    expect($facts($brief([...$typed, 'target.others' => 'none'])))->not->toContain('target.others')
        ->and($facts($brief([...$typed, 'target.others' => 'some'])))->toContain('target.reading');
});

it('says so when a reading shows no internal drive', function () {
    $plan = Demo::plan('fairlead-13', [
        'machine' => ['lsblk' => '{"blockdevices":[{"name":"sda","size":5,"type":"disk","rm":true}]}'],
    ]);
    expect($plan->questions[0]->text)->toStartWith('The reading shows no internal drive');
});

it('does not ask for a serial that proves nothing', function () {
    $plan = Demo::plan('fairlead-13', [
        'machine' => [
            'lsblk' => '{"blockdevices":[{"name":"sda","size":256060514304,"type":"disk","pttype":"gpt",'
                .'"children":[{"name":"sda1","size":5,"fstype":"ext4"}]}]}',
        ],
    ]);
    expect($plan->step('target.erase')?->confirmation?->typed)
        ->toBeFalse()
        ->and($plan->step('target.erase')?->confirmation?->serial)
        ->toBeNull()
        ->and(implode(' ', $plan->step('target.find')->instructions ?? []))
        ->toContain('reports no serial');
});

it('lays out the profile\'s partitions to the sector', function () {
    $parts = Demo::plan('fairlead-13')->layouts->all()['target']['after']['partitions'];
    expect(array_map(fn ($part) => [$part['name'], $part['first_sector'], $part['sectors']], $parts))
        ->toBe([
            ['EFI system', 2048, 532480],
            ['reserved', 534528, 32768],
            ['system', 567296, 497453056],
            ['recovery', 498020352, 2097152],
        ])
        ->and(end($parts)['first_sector'] + end($parts)['sectors'])
        ->toBeLessThanOrEqual(500118192 - 33);
});

it('counts in the drive\'s own sectors', function () {
    $after = Demo::plan('pocket-lantern')->layouts->all()['target']['after'];
    expect($after['sector_bytes'])
        ->toBe(4096)
        ->and($after['partitions'][0]['first_sector'])
        ->toBe(256)
        ->and($after['partitions'][0]['bytes'])
        ->toBe(512 * 1_048_576)
        ->and($after['partitions'])
        ->toHaveCount(4);
});

it('falls back to MBR for a machine that starts the old way, and tells the bound', function () {
    $system = Demo::catalogue()->system('skerry-rolling');
    $plan = Demo::plan('capstan-t3', [
        'machine' => [
            'facts' => ['firmware.kind' => 'bios', 'target.path' => 'nvme0n1', 'firmware.secure_boot' => 'on'],
        ],
    ]);
    expect($plan->layouts->all()['target']['after']['scheme'])
        ->toBe('mbr')
        ->and(array_column($plan->layouts->all()['target']['after']['partitions'], 'type'))
        ->toBe(['linux-filesystem']);
    expect(PartitionPlan::wipe($system, Scheme::Gpt, Bytes::of(512110190592), 512, 's')->partitions)->toHaveCount(2);
});

it('stops where the profile does not fit on the drive', function () {
    $plan = Demo::plan('pocket-lantern', [
        'machine' => [
            'lsblk' => '{"blockdevices":[{"name":"sda","size":9000000000,"type":"disk",'
                .'"serial":"ABCD1","pttype":"gpt"}]}',
        ],
    ]);
    expect($plan->verdict()->value)
        ->toBe('stop')
        ->and(implode(' ', array_column($plan->blockers, 'reason')))
        ->toContain('There is no room for');
});

it('walks through the phases, with the stick out at the first restart', function () {
    $plan = Demo::plan('fairlead-13');
    $ids = array_map(fn ($step) => $step->id, $plan->steps);
    $at = fn (string $id) => array_search($id, $ids, true);
    expect($at('target.erase'))
        ->toBeLessThan($at('install.phase-0'))
        ->and($at('install.phase-0'))
        ->toBeLessThan($at('install.stick-out'))
        ->and($at('install.stick-out'))
        ->toBeLessThan($at('install.phase-1'))
        ->and($at('install.phase-1'))
        ->toBeLessThan($at('install.phase-2'))
        ->and($at('install.phase-2'))
        ->toBeLessThan($at('first-boot.answers'))
        ->and($plan->step('install.phase-0')?->waiting?->restarts)
        ->toBe(1)
        ->and($plan->step('install.phase-2')?->after)
        ->toBe(['system.installed'])
        ->and(round($plan->step('install.phase-0')?->time->likely->inMinutes() ?? 0))
        ->toBe(19.0);
});

it('reads answers from a sheet and activates only what is licensed', function () {
    expect(Demo::plan('fairlead-13')->step('first-boot.answers')?->rows)
        ->toHaveCount(11)
        ->and(Demo::plan('fairlead-13')->step('activation.check'))
        ->not->toBeNull()
        ->and(Demo::plan('capstan-t3')->step('activation.check'))
        ->toBeNull();
});
