<?php

use Tests\Support\Demo;

it('matches the licence to the edition and refuses the wrong one in advance', function (
    array $licence,
    string $sentence,
) {
    $plan = fit([], [], ['licence' => $licence]);
    expect($plan->verdict()->value)->toBe('stop')
        ->and(implode(' ', array_column($plan->blockers, 'reason')))->toContain($sentence);
})->with([
    [
        ['kind' => 'retail', 'edition' => 'Ferry'],
        'The key fits edition Ferry of Tansy Desktop 7, and Dock is to be installed',
    ],
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
    $support = fn (?string $day) => Demo::plan(
        'upgrade',
        $day === null ? ['read_at' => null] : ['read_at' => $day],
    )->assessment->all()['support'];
    expect($support('2026-11-24T09:00')[0]['sentence'])->toBe(
        'Tansy Desktop 6 lost its support 42 days ago, on 2026-10-13.',
    )
        ->and($support('2026-10-13T09:00')[0]['sentence'])->toContain('for 0 more days')
        ->and($support('2031-01-01T00:00')[1]['sentence'])->toBe(
            'Tansy Desktop 7 is supported for 286 more days, until 2031-10-14.',
        )
        ->and($support('2026-11-24T09:00')[1]['days'])->toBe(1785)
        ->and($support(null)[0]['days'])->toBeNull();
});

it('says what the owner depends on and what is known of it', function () {
    expect(Demo::plan('upgrade')->assessment->all()['depends'])->toBe([
        [
            'what' => 'harbour receipt printer',
            'standing' => 'does not work',
            'why' => 'Its maker made no driver after Tansy Desktop 6. Instead: the plain-text printer of the counter.',
        ],
        [
            'what' => 'harbour map',
            'standing' => 'not on record',
            'why' => 'Try it in Tansy Desktop 7 or ask its maker before anything is erased.',
        ],
    ])
        ->and(
            Demo::plan('upgrade', [
                'depends' => ['the old Tidebook Ledger 3 of the office'],
            ])->assessment->all()['depends'][0]['standing'],
        )
        ->toBe('does not work');
});

it('has the owner sign out before a machine with an account lock is erased', function () {
    $unknown = Demo::plan('cable-restore', ['machine' => ['facts' => [
        'owner.keep' => 'nothing', 'machine.serial' => 'HB-1',
    ]]]);
    expect($unknown->questions[0]->fact)->toBe('owner.lock')
        ->and($unknown->step('target.restore')?->before)->toContain('owner.account-out')
        ->and($unknown->step('protect.account-out'))->not->toBeNull();
    expect(
        Demo::plan('cable-restore', ['machine' => ['facts' => ['owner.keep' => 'nothing', 'owner.lock' => 'none']]])
            ->step('protect.account-out'),
    )
        ->toBeNull();
    expect(fit(['machine.managed' => 'yes'])->blockers[0]->reason)->toContain('goes back to its administrators');
});

it('uses what comes from elsewhere only by policy and with source, hash and reason', function () {
    $extra = [
        'what' => 'trimmed build',
        'source' => 'a forum',
        'sha256' => str_repeat('a', 64),
        'reason' => 'small drive',
    ];
    expect(fit([], [], ['extras' => [$extra]])->blockers[0]->reason)->toContain('does not allow')
        ->and(fit([], ['extras' => 'recorded'], ['extras' => [['what' => 'trimmed build']]])->blockers[0]->reason)
        ->toContain('its SHA-256');
    $plan = fit([], ['extras' => 'recorded'], ['extras' => [$extra]]);
    expect($plan->verdict()->value)->toBe('go')
        ->and($plan->step('route.extras')?->instructions[0])->toContain(str_repeat('a', 64))
        ->and($plan->step('target.erase')?->before)->toContain('owner.extras-recorded')
        ->and($plan->step('put-back.sign'))->not->toBeNull();
});

it('gives what can be undone a stone of its own on the finished system', function () {
    $extra = [
        'what' => 'wave driver',
        'source' => 'a forum',
        'sha256' => str_repeat('b', 64),
        'reason' => 'no other drives the wave',
        'undo' => 'Remove it under Settings, Parts.',
    ];
    $stone = function (array $extras, string $school = 'recorded') {
        $steps = fit([], ['extras' => $school], ['extras' => $extras])->steps;

        return array_values(array_filter($steps, static fn ($step) => str_starts_with($step->id, 'tune.add-on-')));
    };
    [$added] = $stone([$extra]);
    expect($added->title)->toBe('Add wave driver')
        ->and($added->instructions)->toContain('Undo it where it does not: Remove it under Settings, Parts.')
        ->and($added->evidence[0]->expected?->value)->toBe(str_repeat('b', 64))
        ->and($added->evidence[0]->overruledBy)->toBe([])
        ->and($added->before)->toBe(['system.updated', 'owner.extras-recorded'])
        ->and($added->instructions[0])->toContain('from a forum', str_repeat('b', 64))
        ->and([$added->time->low->inMinutes(), $added->time->likely->inMinutes(), $added->time->high->inMinutes()])
        ->toBe([2.0, 5.0, 20.0])
        ->and($added->needs)->toBe(['hands', 'network'])
        ->and($added->because[0]->text)->toContain('no other drives the wave')
        ->and($added->evidence[1]->expected?->value)->toBe('works|undone')
        ->and($added->acts)->toBe([Cobblestone\Runbook\Act::WriteSystem])
        ->and($added->done?->words)->toContain('To undo it: Remove it')
        ->and(array_map(static fn ($one) => $one->id, $stone([$extra, ['what' => 'other'] + $extra])))
        ->toHaveCount(2)
        ->and($stone([$extra, $extra]))->toHaveCount(1)
        ->and($stone([$extra, ['sha256' => str_repeat('c', 64)] + $extra]))->toHaveCount(2)
        ->and($stone([array_diff_key($extra, ['undo' => 1])]))->toBe([])
        ->and($stone([array_diff_key($extra, ['sha256' => 1])]))->toBe([])
        ->and($stone([$extra], 'off'))->toBe([]);
    $plan = fit([], ['extras' => 'recorded'], ['extras' => [$extra]]);
    $at = array_flip(array_map(static fn ($step) => $step->id, $plan->steps));
    expect($plan->verdict()->value)->toBe('go')->and($at[$added->id])->toBeLessThan($at['proof.readings']);
});
