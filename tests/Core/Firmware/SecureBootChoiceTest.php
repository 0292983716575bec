<?php

use Tests\Support\Demo;

it('compares the signer before Secure Boot is ever proposed off', function (
    string $job,
    array $facts,
    string $chosen,
    array $rows,
) {
    $plan = Demo::plan($job, ['machine' => ['facts' => $facts]]);
    $decision = array_values(array_filter(
        $plan->decisions,
        fn ($decision) => $decision->id === 'firmware.secure-boot',
    ))[0];
    expect($decision->chosen)->toBe($chosen)
        ->and(array_column($plan->step('firmware.set')->rows ?? [], 'becomes'))->toBe($rows);
})->with([
    'signed, trusted' => ['fairlead-13', [], 'on', ['uefi', 'off', 'on', 'on']],
    'third-party signer has a switch' => [
        'capstan-t3',
        ['firmware.secure_boot' => 'on', 'target.path' => 'nvme0n1'],
        'on, with the third-party signer trusted',
        ['trusted'],
    ],
    'unsigned for good' => [
        'pocket-lantern',
        ['firmware.secure_boot' => 'on'],
        'off, and it stays off',
        ['off', '4 GB', 'balanced'],
    ],
    'already off' => [
        'pocket-lantern',
        ['firmware.secure_boot' => 'off'],
        'off, and it stays off',
        ['4 GB', 'balanced'],
    ],
]);

it('puts Secure Boot back on after an unsigned stick with a signed system', function () {
    $brief = Demo::brief('fairlead-13');
    $brief['image'] = ['name' => 'x.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false]];
    $plan = Cobblestone\Job\JobPlanner::plan(
        Cobblestone\Brief\Brief::fromArray($brief),
        Demo::catalogue(),
        Cobblestone\Policy\Policy::of(),
    );
    $steps = array_map(fn ($step) => $step->id, $plan->steps);
    expect($plan->step('put-back.secure-boot'))->not->toBeNull()
        // This system binds its drive to Secure Boot as it stands once it is online: it has to be back on before.
        ->and(array_search('put-back.secure-boot', $steps, true))
        ->toBeLessThan(array_search('network.online', $steps, true))
        ->toBeGreaterThan(array_search('install.phase-1', $steps, true))
        ->and(array_column(
            array_filter($plan->assessment->all()['rehearsal'], fn ($start) => ! $start['succeeds']),
            'sentence',
        ))
        ->toBe([])
        ->and(array_column($plan->toArray()['put_back'], 'id'))->toBe(['secure-boot'])
        ->and($plan->step('put-back.sign'))->toBeNull();
});

it('puts Secure Boot back on at the end where nothing is bound to it', function () {
    $brief = Demo::brief('fairlead-13');
    $brief['image'] = ['name' => 'x.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false]];
    $plan = Cobblestone\Job\JobPlanner::plan(
        Cobblestone\Brief\Brief::fromArray($brief),
        Demo::catalogue(),
        Cobblestone\Policy\Policy::of(['auto_encryption' => 'off']),
    );
    $steps = array_map(fn ($step) => $step->id, $plan->steps);
    expect(array_search('put-back.secure-boot', $steps, true))
        ->toBeGreaterThan(array_search('proof.readings', $steps, true))
        ->and(array_column(
            array_filter($plan->assessment->all()['rehearsal'], fn ($start) => ! $start['succeeds']),
            'sentence',
        ))
        ->toBe([]);
});

it('signs once what stays weakened, and hands over only then', function () {
    $plan = Demo::plan('pocket-lantern');
    expect($plan->step('put-back.sign')?->after)->toContain('put-back.secure-boot')
        ->and($plan->step('hand-over.give-back')?->required())->toContain('put-back.secure-boot')
        ->and($plan->toArray()['put_back'][0]['stays'])->toBeTrue();
});
