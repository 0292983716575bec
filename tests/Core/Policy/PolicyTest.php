<?php

use Cobblestone\Brief\BriefFault;
use Cobblestone\Policy\Policy;

it('takes the first option of every school until another is chosen', function () {
    $policy = Policy::of();
    foreach (Policy::SCHOOLS as $school => $options) {
        expect($policy->school($school))
            ->toBe(array_key_first($options))
            ->and(Policy::title($school))
            ->not->toBe('')
            ->and(Policy::rule($school))
            ->toMatch('/^[A-Z]\d+/');
    }
    expect(Policy::of(['boot' => 'permanent-order'])->schools())->toBe([
        ...$policy->schools(),
        'boot' => 'permanent-order',
    ]);
});

it('refuses a school or option that does not exist, and names it', function (
    array $chosen,
    string $where,
    string $says,
) {
    expect(fn () => Policy::of($chosen))->toThrow(BriefFault::class, $says);
    try {
        Policy::of($chosen);
    } catch (BriefFault $fault) {
        expect($fault->field)->toBe($where);
    }
})->with([
    [['tea' => 'green'], 'policy.tea', 'there is no such school. Schools: scheme, stick'],
    [['boot' => 'never'], 'policy.boot', 'choose one of one-time-menu, permanent-order.'],
    [['boot' => 1], 'policy.boot', 'choose one of'],
]);

it('states its figures', function () {
    $policy = Policy::of();
    expect($policy->figure('backup_margin'))
        ->toBe(0.1)
        ->and($policy->figure('stick_spare'))
        ->toBe(0.1)
        ->and($policy->figure('part_mebibytes'))
        ->toBe(3800.0)
        ->and($policy->figure('seconds_per_file'))
        ->toBe(0.015)
        ->and($policy->figure('host_read_mb_s'))
        ->toBe(500.0)
        ->and($policy->figure('host_port_mb_s'))
        ->toBe(400.0)
        ->and($policy->figure('hash_mb_s'))
        ->toBe(450.0)
        ->and($policy->figure('expand_mb_s'))
        ->toBe(180.0)
        ->and($policy->toArray())
        ->toHaveKeys(['schools', 'figures']);
});
