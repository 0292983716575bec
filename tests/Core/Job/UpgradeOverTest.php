<?php

use Tests\Support\Demo;

// An upgrade goes over the systems its publisher names, and over no other (rule A3).

it('stops where the wanted system is not installed over the present one', function (string $present, ?string $says) {
    $facts = [...Demo::brief('upgrade')['machine']['facts'], 'present.system' => $present];
    $plan = Demo::plan('upgrade', ['machine' => ['facts' => $facts]]);
    $stop = array_column($plan->blockers, null, 'id')['upgrade-over'] ?? null;
    expect($stop?->reason)->toBe($says)->and($stop?->facts ?? [])->toBe(
        $says === null ? [] : ["present.system = {$present}"],
    );
})->with([
    'the one it names' => ['tansy-desktop-6', null],
    'another of the catalogue' => [
        'skerry-rolling',
        'Tansy Desktop 7 is not installed over Skerry Rolling; it is over Tansy Desktop 6.',
    ],
    'one nobody knows' => [
        'another',
        'Tansy Desktop 7 is not installed over what is on it now; it is over Tansy Desktop 6.',
    ],
]);

it('says what each costs, in place and clean', function () {
    $decision = Demo::plan('upgrade')->decision('install.upgrade');
    expect($decision?->reasons)->toBe([
        'Files, programs and settings stay, and for 10 days it can be taken back.',
        'Installing takes about 47 min.',
    ])->and(json_encode($decision))->toContain('It keeps nothing: about 54 min until its first start is answered');
});
