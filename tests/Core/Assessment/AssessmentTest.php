<?php

use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

it('gates both the firmware and the erasing while a chip-bound drive has something to keep', function () {
    $plan = Demo::plan('fairlead-13');
    expect($plan->step('firmware.set')?->gates[0]->fact)->toBe(PathFact::BACKUP_SETTLED)
        ->and($plan->step('target.erase')?->gates[0]->opensBy)->toBe('protect.check-backup')
        ->and($plan->step('target.erase')?->before)->toContain(PathFact::BACKUP_DETACHED);
});

it('leaves the firmware free where its change cannot lock anything', function (string $state) {
    $plan = Demo::plan('fairlead-13', ['machine' => ['facts' => ['drive.encryption' => $state]]]);
    expect($plan->step('firmware.set')?->gates)->toBe([])->and($plan->step('target.erase')?->gates)->toHaveCount(1);
})->with(['none', 'key-in-clear', 'passphrase']);

it('asks how the drive is protected only where the answer decides something', function () {
    $asks = fn (Plan $plan) => in_array(
        'drive.encryption',
        array_map(fn ($question) => $question->fact, $plan->questions),
        true,
    );
    expect($asks(Demo::plan('capstan-t3')))->toBeTrue()
        ->and($asks(Demo::plan('fairlead-13')))->toBeFalse()
        ->and($asks(Demo::plan('pocket-lantern')))->toBeFalse()
        ->and(decision(Demo::plan('fairlead-13'), 'assess.encryption')->chosen)->toContain('nothing to decrypt')
        ->and(
            decision(
                Demo::plan('fairlead-13', ['machine' => ['facts' => ['drive.encryption' => 'none']]]),
                'assess.encryption',
            )->chosen,
        )
        ->toBe('none');
});

it('asks for the key of an encrypted drive that stays', function () {
    $brief = Demo::brief('capstan-t3');
    $plan = Demo::plan('capstan-t3', [
        'machine' => [
            'lsblk' => str_replace(
                '"fstype": "ext4",'."\n".'          "label": "Timetables",',
                '"fstype": "crypto_LUKS",'."\n".'          "label": "Timetables",',
                $brief['machine']['lsblk'],
            ),
        ],
    ]);
    expect($plan->step('protect.key-sda')?->evidence[0]->id)->toBe('key_kept')
        ->and($plan->step('target.erase')?->before)->toContain('encryption.key-sda')
        ->and($plan->step('protect.key-sdb'))->toBeNull();
});

it('holds hard floors against the machine only where they are known', function (array $facts, string $sentence) {
    $plan = Demo::plan('fairlead-13', ['machine' => ['facts' => $facts]]);
    expect($plan->verdict()->value)->toBe('stop')
        ->and(implode(' ', array_column($plan->blockers, 'reason')))->toContain($sentence);
})->with([
    [
        ['architecture' => 'arm-64'],
        'needs Architecture: x86-64; this machine: arm-64 (bench lead at the machine). Choose an image made for '
            .'arm-64.',
    ],
    [
        ['memory_bytes' => 4_294_967_295],
        'needs Memory: 4.0 GiB; this machine: 4.0 GiB (bench lead at the machine). Short by 1 B. It can be bypassed, '
            .'but the bench\'s policy does not allow it.',
    ],
    [
        ['firmware.kind' => 'bios'],
        'needs UEFI: starts by UEFI; this machine: bios (bench lead at the machine). This machine has no UEFI.',
    ],
]);

it('takes memory and drive that just meet the floor', function () {
    $disk = fn (int $bytes) => (string) json_encode([
        'blockdevices' => [
            [
                'name' => 'sda',
                'size' => $bytes,
                'type' => 'disk',
                'serial' => 'S-1234',
                'pttype' => 'gpt',
                'children' => [['name' => 'sda1', 'size' => 5, 'fstype' => 'ext4']],
            ],
        ],
    ]);
    $plan = Demo::plan('fairlead-13', [
        'machine' => ['facts' => ['memory_bytes' => 4_294_967_296], 'lsblk' => $disk(64_000_000_000)],
    ]);
    expect($plan->blockers)->toBe([])
        ->and(Demo::plan('fairlead-13', ['machine' => ['lsblk' => $disk(63_999_999_999)]])->blockers[0]->reason)
        ->toContain('needs Drive: 64.0 GB; this machine: 64.0 GB (reading of the drive). Short by 1 B');
});
