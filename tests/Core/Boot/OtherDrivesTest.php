<?php

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\Reality;
use Cobblestone\Boot\Rehearsal;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

it('grounds', function () {
    expect(array_map(fn (Ground $ground): bool => $ground->blocks(), Ground::cases()))
        ->toBe([true, false, false, false])
        ->and(Ground::SeenHere->title(1))->toBe('seen on this model once')
        ->and(Ground::Standard->title())->toBe('standard');
});

it('knows the other drives, and the system that may start from one of them', function () {
    $scene = BootScene::fromArray(Demo::plan('capstan-t3')->assessment->all()['boot']);
    $others = array_values(array_filter(
        $scene->state->devices,
        fn ($device): bool => str_starts_with($device->id, 'drive-'),
    ));
    expect(count($others))->toBe(2)->and($scene->state->order)->toContain('drive-2', 'drive-3');
    $plan = Demo::plan('capstan-t3');
    $lsblk = json_decode(
        $plan->job->model === null ? '{}' : (string) Demo::brief('capstan-t3')['machine']['lsblk'],
        true,
    );
    foreach ($lsblk['blockdevices'] as $index => $device) {
        if (($device['name'] ?? '') !== 'nvme0n1' && ($device['children'] ?? []) !== []) {
            $lsblk['blockdevices'][$index]['children'][0]['parttype'] = 'c12a7328-f81f-11d2-ba4b-00a0c93ec93b';
        }
    }
    $with = Demo::plan('capstan-t3', ['machine' => ['lsblk' => json_encode($lsblk)]]);
    $leads = array_map(
        fn ($device): string => $device->medium->leads->value,
        BootScene::fromArray($with->assessment->all()['boot'])->state->devices,
    );
    expect($leads)->toContain('old-system');
    // With the target never installed, it is that leftover which starts, and the rehearsal says so.
    $last = rehearsed($with, forgetting('target'));
    expect($last[count($last) - 1]->prediction->outcome)->toBe(Outcome::OldSystemStarts)
        ->and($last[count($last) - 1]->succeeds())->toBeFalse();
});

it('shows why Secure Boot goes back on before a system that encrypts by itself is online', function () {
    $brief = [
        'image' => ['name' => 'x.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false]],
        'machine' => [
            'facts' => [
                'firmware.secure_boot' => 'on',
                'firmware.older_devices' => 'off',
                'firmware.boot_mode' => 'uefi',
            ],
        ],
    ];
    $plan = Demo::plan('fairlead-13', $brief);
    expect(array_filter(rehearsed($plan), fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([]);
    $late = [
        ...array_filter($plan->steps, fn (Step $step): bool => $step->id !== 'put-back.secure-boot'),
        $plan->step('put-back.secure-boot'),
    ];
    $starts = Rehearsal::run(BootScene::fromArray($plan->assessment->all()['boot']), array_values($late));
    expect($starts[count($starts) - 1]->prediction->outcome)->toBe(Outcome::RecoveryKeyPrompt);
});

it('comes through under every policy and on every kind of target', function (string $job, array $policy) {
    expect(array_filter(rehearsed(Demo::plan($job, [], $policy)), fn (PowerOn $start): bool => ! $start->succeeds()))
        ->toBe([]);
})
    ->with(['fairlead-13', 'capstan-t3', 'pocket-lantern', 'new-capstan', 'drive-swap'])
    ->with([
        [['boot' => 'permanent-order']],
        [['auto_encryption' => 'off']],
        [['boot' => 'permanent-order', 'auto_encryption' => 'off', 'scheme' => 'widest']],
    ]);

it('learns from an end what it can', function () {
    expect(Reality::teaches(Outcome::RefusedBySecureBoot, null))
        ->toBe(['stick.refused' => 'yes', 'firmware.secure_boot' => 'on'])
        ->and(Reality::teaches(Outcome::RecoveryKeyPrompt, Binding::Keys))->toBe(['encryption.binding' => 'measured'])
        ->and(Reality::teaches(Outcome::RecoveryKeyPrompt, Binding::Measured))->toBe([])
        ->and(Reality::teaches(Outcome::Silent, Binding::Keys))->toBe([]);
    $plan = Demo::plan('fairlead-13', [
        'machine' => [
            'facts' => [
                'stick.refused' => 'yes',
                'firmware.secure_boot' => 'on',
                'firmware.boot_mode' => 'uefi',
                'firmware.older_devices' => 'off',
            ],
        ],
    ]);
    expect(array_column($plan->step('firmware.set')->rows ?? [], 'becomes', 'where')['Keys › Secure Boot'])->toBe('off')
        ->and(array_filter(rehearsed($plan), fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([]);
    $kept = rehearsed($plan, fn (Step $step): Step => $step->id === 'firmware.set' ? $step->booting([]) : $step);
    expect($kept[0]->prediction->outcome)->toBe(Outcome::RefusedBySecureBoot);
});
