<?php

use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Tests\Support\Demo;

it('has a golden job for each kind, whole from first to last stone', function () {
    $kinds = array_values(array_unique(array_map(
        fn (string $job) => Demo::brief($job)['goal'] ?? 'clean-install',
        Demo::ALL,
    )));
    sort($kinds);
    $all = array_column(JobKind::cases(), 'value');
    sort($all);
    expect($kinds)->toBe($all);
    foreach (Demo::ALL as $job) {
        $steps = Demo::plan($job)->steps;
        expect($steps[count($steps) - 1]->after)->toContain(PathFact::HANDED_OVER)
            ->and($steps[count($steps) - 1]->stage->value)->toBe('hand-over');
    }
});

it('makes a stick and nothing else, for any machine', function () {
    $plan = Demo::plan('stick-for-any');
    expect(array_map(fn ($step) => $step->id, $plan->steps))->toBe([
        'gather.lay-out', 'image.check', 'media.identify', 'media.write', 'media.verify', 'hand-over.shelve',
    ])
        ->and($plan->layouts->all()['target'])->toBeNull()
        ->and($plan->layouts->all()['stick']['name'])->toBe('Harbour 16')
        ->and($plan->step('hand-over.shelve')?->instructions[1])
        ->toContain('those by UEFI and those that start the old way')
        ->and($plan->verdict()->value)->toBe('go');
});

it('gives a new build power before its stick, and loses nothing', function () {
    $plan = Demo::plan('new-capstan');
    $ids = array_map(fn ($step) => $step->id, $plan->steps);
    expect(array_search('hardware.first-power', $ids, true))->toBeLessThan(array_search('boot.start', $ids, true))
        ->and($plan->step('hardware.first-power')?->presence)->toBe(Presence::StayNear)
        ->and($plan->step('protect.back-up'))->toBeNull()
        ->and($plan->step('target.erase')?->gates)->toBe([])
        ->and($plan->step('target.erase')?->confirmation?->loses)->toBe('whatever is on it: its contents were not read')
        ->and($plan->step('target.erase')?->before)->toContain(PathFact::CASE_CLOSED)
        ->and($plan->step('hardware.first-power')?->rows[0])->toBe([
            'seen in setup' => 'Memory',
            'must be' => '32.0 GiB',
        ]);
});

it('takes the only blank drive of a new build, and asks where there is none', function () {
    $lsblk = (string) json_encode([
        'blockdevices' => [
            ['name' => 'nvme0n1', 'size' => 512110190592, 'type' => 'disk', 'serial' => 'NEW-1', 'pttype' => null],
            [
                'name' => 'sda',
                'size' => 2000398934016,
                'type' => 'disk',
                'serial' => 'OLD-1',
                'pttype' => 'gpt',
                'children' => [['name' => 'sda1', 'size' => 9, 'fstype' => 'ext4']],
            ],
        ],
    ]);
    $plan = Demo::plan('new-capstan', ['machine' => ['lsblk' => $lsblk, 'facts' => []]]);
    expect($plan->step('target.erase')?->confirmation?->serial)->toBe('NEW-1')
        ->and($plan->step('hardware.detach'))->not->toBeNull();
    expect(Demo::plan('new-capstan', ['machine' => ['facts' => []]])->questions[0]->fact)->toBe('target.reading')
        ->and(fn () => Demo::plan('new-capstan', [
            'machine' => ['facts' => ['target.serial' => 'X', 'target.bytes' => 'many']],
        ]))->toThrow(Cobblestone\Brief\BriefFault::class, 'target.bytes');
});

it('rescues a failing drive before it comes out, and carries the data over from the copy', function () {
    $plan = Demo::plan('drive-swap');
    $ids = array_map(fn ($step) => $step->id, $plan->steps);
    expect(array_search('protect.back-up', $ids, true))->toBeLessThan(array_search('hardware.swap-drive', $ids, true))
        ->and($plan->step('install.carry-over')?->instructions[0])->toContain('the rescued copy')
        ->and($plan->step('target.erase')?->confirmation?->serial)->toBe('SM3-2610-55E0C1')
        ->and($plan->step('hand-over.give-back')?->gates[0]->fact)->toBe(PathFact::putBack('old-drive'))
        ->and($plan->layouts->all()['target']['bytes'])->toBe(512110190592);
});

it('keeps a sound old drive as the way back, without a backup of its own', function () {
    $plan = Demo::plan('drive-swap', [
        'machine' => [
            'readings' => [],
            'facts' => ['drive.encryption' => 'none', 'target.serial' => 'N-1', 'target.bytes' => '512.1 GB'],
        ],
    ]);
    expect($plan->step('protect.back-up'))->toBeNull()
        ->and($plan->step('install.carry-over')?->instructions[0])->toContain('nvme0n1')
        ->and($plan->step('put-back.old-drive')?->before)->toContain('data.carried-over')
        ->and($plan->verdict()->value)->toBe('go');
});

it('puts the factory image back only with everything else detached, and stops where none answers', function () {
    $plan = Demo::plan('factory-restore');
    expect($plan->step('boot.recovery')?->before)->toContain('protect.detached-all')
        ->and($plan->step('boot.recovery')?->instructions[0])->toContain('`F7`')
        ->and($plan->step('install.factory')?->presence)->toBe(Presence::StayNear)
        ->and($plan->step('target.restore')?->confirmation?->typed)->toBeTrue();
    $facts = fn (array $facts) => Demo::plan('factory-restore', [
        'machine' => ['facts' => ['owner.keep' => 'nothing', ...$facts]],
    ]);
    expect($facts(['factory.image' => 'no'])->blockers[0]->reason)->toContain('does not answer any more')
        ->and($facts(['factory.image' => 'media'])->step('boot.recovery')?->instructions[0])
        ->toContain('recovery medium')
        ->and($facts([])->verdict()->value)->toBe('hold');
});

it('updates firmware only with a reason and through the required stops', function () {
    $plan = Demo::plan('firmware-update');
    expect(array_map(
        fn ($step) => $step->title,
        array_values(array_filter($plan->steps, fn ($step) => str_starts_with($step->id, 'firmware.write'))),
    ))
        ->toBe(['Write 1.14', 'Write 1.16'])
        ->and($plan->step('firmware.write-1.14')?->isOneWay())->toBeTrue()
        ->and($plan->step('firmware.write-1.14')?->presence)->toBe(Presence::StayNear)
        ->and($plan->step('firmware.supply')?->evidence[0]->least)->toBe(50);
    expect(Demo::plan('firmware-update', ['update' => ['reason' => ' ']])->blockers[0]->reason)
        ->toBe('A firmware update without a reason is refused.');
    $from = fn (string $version, array $update) => Demo::plan('firmware-update', [
        'machine' => ['facts' => ['firmware.version' => $version, 'drive.encryption' => 'none']],
        'update' => ['reason' => 'x', ...$update],
    ]);
    expect($from('1.14', ['gives' => 'sleep drain'])->blockers[0]->reason)->toContain('is there already')
        ->and($from('1.02', ['to' => '1.16'])->step('firmware.write-1.16')?->title)->toBe('Write 1.16')
        ->and($from('1.05', ['to' => '9.9'])->blockers[0]->reason)->toContain('The catalogue holds no release 9.9');
    expect(
        Demo::plan('firmware-update', ['machine' => ['facts' => ['drive.encryption' => 'none']]])->questions[0]->fact,
    )
        ->toBe('firmware.version');
    expect(
        Demo::plan('firmware-update', [
            'machine' => [
                'model' => 'wickley-pocket-lantern',
                'facts' => ['firmware.version' => '3', 'drive.encryption' => 'none'],
            ],
        ])
            ->step('firmware.write-new')?->title,
    )
        ->toBe('Write the new version');
});

it('revives before it restores, and restores only once nothing is kept or reviving was tried', function () {
    $with = fn (array $facts) => Demo::plan('cable-restore', [
        'machine' => ['facts' => ['owner.lock' => 'signed-out', ...$facts]],
    ]);
    expect($with(['owner.keep' => 'some'])->step('install.revive'))->not->toBeNull()
        ->and($with(['owner.keep' => 'some'])->step('target.restore'))->toBeNull()
        ->and($with(['owner.keep' => 'some', 'tried' => 'revive'])->step('target.restore')?->gates[0]->fact)
        ->toBe(PathFact::BACKUP_SETTLED)
        ->and($with(['owner.keep' => 'nothing'])->step('install.revive'))->toBeNull();
    expect($with(['owner.keep' => 'nothing'])->step('boot.recovery')?->instructions[0])
        ->toBe('Cable into the socket usb-c, rear, nearest the power lead, seen from behind.')
        ->and(Demo::plan('cable-restore', ['image' => 'orrin-desktop-3'])->blockers[0]->reason)
        ->toContain('is no restore image');
});

it('upgrades in place with a way back, and says what room it wants', function () {
    $plan = Demo::plan('upgrade');
    expect($plan->assessment->all()['rollback'])->toBe(['step' => 'install.upgrade', 'days' => 10])
        ->and($plan->step('install.start')?->gates[0]->fact)->toBe(PathFact::BACKUP_SETTLED)
        ->and($plan->steps[count($plan->steps) - 1]->gates)->toBe([])
        ->and(array_filter($plan->steps, fn ($step) => $step->isOneWay()))->toBe([]);
    $free = fn (int $bytes) => Demo::plan('upgrade', [
        'machine' => ['facts' => ['drive.encryption' => 'none', 'drive.free_bytes' => $bytes]],
    ])->blockers;
    expect($free(32_000_000_000))->toBe([])->and($free(31_999_999_999)[0]->reason)->toContain('short by 1 B');
});
