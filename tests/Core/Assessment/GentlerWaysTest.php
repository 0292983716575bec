<?php

use Cobblestone\Assessment\Route\WeighedRung;
use Cobblestone\Brief\Brief;
use Cobblestone\Findings\Findings;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

// What would do with less than a job that loses what is on the machine (rule A3).

/** @param  array<string, mixed>  $facts */
function gentlerPlan(string $brief, array $facts): Plan
{
    $document = Demo::brief($brief);
    $document['machine']['facts'] = [...$document['machine']['facts'] ?? [], ...$facts];

    return JobPlanner::plan(Brief::fromArray($document), Demo::catalogue(), Policy::of());
}

/** @return array<string, string> rung => how it stands */
function gentlerStandings(Plan $plan): array
{
    $ladder = Findings::of($plan)->gentler->ladder ?? [];

    return array_column(array_map(static fn (WeighedRung $rung): array => [$rung->id, $rung->standing], $ladder), 1, 0);
}

/** @return list<string> what the owner is told aloud of it */
function toldAloud(Plan $plan): array
{
    $word = $plan->step('protect.owner-word')->instructions ?? [];

    return array_values(array_filter($word, static fn (string $line): bool => str_contains($line, 'gentler')));
}

it('weighs nothing until somebody has said what it is for', function (string $brief) {
    $plan = gentlerPlan($brief, []);
    expect(Findings::of($plan)->gentler)->not->toBeNull()
        ->and(Findings::of($plan)->gentler?->why)->toBeNull()
        ->and(gentlerStandings($plan))->toBe([])
        ->and($plan->decision('assess.gentler'))->toBeNull()
        ->and(toldAloud($plan))->toBe([]);
})->with(['fairlead-13', 'drive-swap', 'factory-restore', 'pocket-lantern', 'unknown-laptop']);

it('knows nothing gentler than a job that loses nothing, or has nothing to lose', function (string $brief) {
    expect(Findings::of(gentlerPlan($brief, ['wish.why' => 'fault']))->gentler)->toBeNull();
})->with(['upgrade', 'firmware-update', 'card-swap', 'repair', 'stick-for-any', 'new-capstan', 'cable-restore']);

it('weighs the rungs before the kind of job, and no further', function (string $brief, string $last) {
    $standings = gentlerStandings(gentlerPlan($brief, ['wish.why' => 'fault']));
    expect(array_key_first($standings))->toBe('channel')->and(array_key_last($standings))->toBe($last);
})->with([
    ['fairlead-13', 'factory'], ['factory-restore', 'revive'], ['drive-swap', 'restore-sealed'],
]);

it('says how each stands by what is known', function (array $facts, array $expected) {
    $standings = gentlerStandings(gentlerPlan('fairlead-13', ['wish.why' => 'fault', ...$facts]));
    expect(array_intersect_key($standings, $expected))->toBe($expected);
})->with([
    'nothing known' => [[], ['channel' => 'out', 'startup-repair' => 'possible', 'reset' => 'possible']],
    'it starts' => [
        ['symptom.starts' => 'normally', 'symptom.since' => 'driver'],
        ['startup-repair' => 'out', 'system-files' => 'works', 'reset' => 'works'],
    ],
    'it does not, and its recovery opens' => [
        ['symptom.starts' => 'recovery'],
        ['startup-repair' => 'works', 'repair-install-built-in' => 'out'],
    ],
    'tried' => [
        ['symptom.starts' => 'recovery', 'tried' => 'startup-repair, reset'],
        ['startup-repair' => 'tried', 'reset' => 'tried'],
    ],
]);

it('asks what decides between them, in the way of nothing', function () {
    $plan = gentlerPlan('fairlead-13', ['wish.why' => 'fault']);
    $asked = array_values(array_filter($plan->questions, static fn ($one): bool => $one->rule === 'A3'));
    expect(array_column($asked, 'fact'))->toContain('symptom.starts')
        ->and(array_merge(...array_column($asked, 'shuts')))->toBe([])
        ->and(array_column($asked, 'weight'))->toBe(range(59, 60 - count($asked)));
});

it('is told to the owner, and the sheet says what was tried', function () {
    $plan = gentlerPlan('fairlead-13', [
        'wish.why' => 'fault', 'symptom.starts' => 'recovery', 'tried' => 'startup-repair',
    ]);
    expect(toldAloud($plan)[0] ?? '')->toStartWith('Say aloud what is gentler and was not tried: ')
        ->toContain('Built-in reset that keeps files (keeps files)')->not->toContain('Start-up repair')
        ->and($plan->step('protect.owner-word')?->done?->words)
        ->toContain('; tried before, without success: start-up repair from the recovery environment');
});

it('holds an upgrade against another system, and nothing else', function (array $facts, string $standing, bool $asks) {
    $plan = gentlerPlan('fairlead-13', ['wish.why' => 'other-system', ...$facts]);
    expect(gentlerStandings($plan))->toBe(['upgrade' => $standing])
        ->and(in_array('present.system', array_column($plan->questions, 'fact'), true))->toBe($asks);
})->with([
    [[], 'possible', true],
    [['present.system' => 'tansy-desktop-6'], 'works', false],
    [['present.system' => 'another'], 'out', false],
    [['present.system' => 'tansy-desktop-6', 'tried' => 'upgrade'], 'tried', false],
]);

it('offers the systems of the catalogue as what may be on it', function () {
    $plan = gentlerPlan('fairlead-13', ['wish.why' => 'other-system']);
    $asked = array_column($plan->questions, null, 'fact')['present.system'];
    expect($asked->options)->toHaveKeys(['tansy-desktop-6', 'skerry-rolling'])
        ->and(array_key_last($asked->options))->toBe('another');
});

it('says in one line what it comes to', function (array $facts, string $chosen, string $because) {
    $decision = gentlerPlan('fairlead-13', $facts)->decision('assess.gentler');
    expect($decision?->chosen)->toBe($chosen)->and($decision?->reasons)->toBe([$because])
        ->and($decision?->facts)->toBe(["wish.why = {$facts['wish.why']}"]);
})->with([
    'one works' => [
        ['wish.why' => 'other-system', 'present.system' => 'tansy-desktop-6'],
        'clean install from a stick, as the job says',
        'What is gentler can work here, and has not been tried.',
    ],
    'one may' => [
        ['wish.why' => 'other-system'],
        'clean install from a stick, as the job says',
        'Something gentler may do; what is still to be known stands beside it.',
    ],
    'none' => [
        ['wish.why' => 'other-system', 'present.system' => 'another'],
        'clean install from a stick',
        'Nothing gentler is left.',
    ],
]);

it('weighs nothing for a fresh start', function () {
    $plan = gentlerPlan('fairlead-13', ['wish.why' => 'fresh']);
    expect(gentlerStandings($plan))->toBe([])->and(Findings::of($plan)->gentler?->why)->toBe('fresh')
        ->and($plan->decision('assess.gentler'))->toBeNull();
});
