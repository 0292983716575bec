<?php

use App\House\SchoolTable;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Policy\BenchTexts;
use Cobblestone\Policy\Policy;
use Cobblestone\Policy\Schools;
use Tests\Support\Demo;

it('takes the first option of every school until another is chosen', function () {
    $policy = Policy::of();
    foreach (Schools::all() as $name => $school) {
        expect($policy->school($name))->toBe(array_key_first($school->options))->toBe($school->usual())
            ->and(Policy::title($name))->toBe($school->title)->not->toBe('')
            ->and($school->rule)->toMatch('/^[A-Z]\d+/');
    }
    expect(Policy::of(['boot' => 'permanent-order'])->schools())->toBe([
        ...$policy->schools(),
        'boot' => 'permanent-order',
    ]);
});

it('knows each school by a name of its own, two options at least', function () {
    $schools = Schools::all();
    expect($schools)->not->toBe([])->and(array_keys($schools))->toBe(array_column($schools, 'name'));
    foreach ($schools as $school) {
        expect(count($school->options))->toBeGreaterThan(1)
            ->and(array_intersect(array_keys($school->options), array_keys(BenchTexts::NAMES)))->toBe([]);
        foreach ($school->options as $words) {
            expect($words)->toMatch('/^[A-Z].*\.$/');
        }
    }
});

it('is what the guide says of it, school by school and figure by figure', function () {
    $page = (string) file_get_contents(Demo::root().'/docs/guide/schools.md');
    expect(explode("\n", SchoolTable::markdown()))
        ->toBe(explode("\n", $page), 'php artisan cobblestone:house writes it');
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
    [
        ['tea' => 'green'],
        'policy.tea',
        'there is no such school. Schools: '.implode(', ', array_keys(Schools::all())).'.',
    ],
    [['boot' => 'never'], 'policy.boot', 'choose one of one-time-menu, permanent-order.'],
    [['boot' => 1], 'policy.boot', 'choose one of one-time-menu, permanent-order.'],
    [['region' => 'x', 'tea' => 'green'], 'policy.tea', 'there is no such school.'],
]);

it('gives what was chosen back as it can be chosen again, and all of it as a document', function () {
    $policy = Policy::of(['keys' => 'sealed', 'region' => 'Skerry']);
    expect($policy->chosen())->toBe([...$policy->schools(), ...BenchTexts::DEFAULTS, 'region' => 'Skerry'])
        ->and($policy->schools()['keys'])->toBe('sealed')
        ->and($policy->toArray())->toBe([
            'schools' => $policy->schools(),
            'figures' => Policy::figures(),
            'texts' => [...BenchTexts::DEFAULTS, 'region' => 'Skerry'],
        ]);
    foreach (Policy::figures() as $name => $figure) {
        expect($policy->figure($name))->toBe((float) $figure);
    }
});
