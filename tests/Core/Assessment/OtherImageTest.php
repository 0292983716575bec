<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/**
 * @param  array<string, mixed>|null  $origin
 * @param  array<string, mixed>  $image
 */
function fromElsewhere(
    ?array $origin,
    string $school = 'recorded',
    array $image = [],
    string $goal = 'clean-install',
): Plan {
    $document = [
        ...Demo::catalogue()->all('images')['skerry-rolling'],
        'sha256' => str_repeat('b', 64),
        ...$origin === null ? [] : ['origin' => ['kind' => 'modified', 'from' => 'a collectors\' page', ...$origin]],
        ...$image,
    ];

    return JobPlanner::plan(Brief::fromArray([
        'brief' => 1, 'title' => 'from elsewhere', 'goal' => $goal, 'system' => 'skerry-rolling',
        'image' => 'skerry-rolling', 'policy' => ['extras' => $school],
        'machine' => ['model' => 'brackwater-capstan-t3', 'facts' => ['owner.keep' => 'nothing']],
    ]), Demo::catalogue()->with('images', ['skerry-rolling' => $document]), Policy::of());
}

/** @return list<string> */
function stopsOf(Plan $plan): array
{
    return array_values(array_filter(
        array_map(fn (Blocker $one): string => $one->isStop() ? $one->id : '', $plan->blockers),
        fn (string $id): bool => str_starts_with($id, 'image-'),
    ));
}

function signing(Plan $plan): ?Step
{
    return array_values(array_filter($plan->steps, fn (Step $step): bool => $step->id === 'image.origin'))[0] ?? null;
}

it('asks nothing about an image that is the publisher\'s', function () {
    expect(stopsOf(fromElsewhere(null, 'off')))->toBe([])->and(signing(fromElsewhere(null)))->toBeNull();
});

it('is stopped by policy, by what nobody has looked into, and by what is not on record', function (
    string $school,
    array $origin,
    array $image,
    array $stops,
) {
    expect(stopsOf(fromElsewhere($origin, $school, $image)))->toBe($stops);
})->with([
    'policy' => ['off', ['reason' => 'a reader'], [], ['image-policy']],
    'policy, and nothing else is asked' => ['off', [], ['loader' => ['signed' => null]], ['image-policy']],
    'not inspected' => [
        'recorded', ['reason' => 'a reader'], ['loader' => ['signed' => null]], ['image-not-inspected'],
    ],
    'no reason' => ['recorded', [], [], ['image-record']],
    'no checksum' => ['recorded', ['reason' => 'a reader'], ['sha256' => null], ['image-record']],
    'all there' => ['recorded', ['reason' => 'a reader'], [], []],
]);

it('says origin, signature, licence, updates and what it lacks, and has somebody sign', function () {
    $plan = fromElsewhere([
        'reason' => 'the owner\'s reader works with it alone', 'licence' => 'as the publisher\'s',
        'updates' => 'from the publisher', 'lacks' => ['recovery tools', 'wireless drivers'],
    ]);
    $step = signing($plan);
    $said = $step->instructions ?? [];
    expect(array_diff_key($said, [1 => 1]))->toBe([
        0 => 'Origin: a collectors\' page. It is the publisher\'s, changed by somebody.',
        2 => 'Licence: as the publisher\'s.',
        3 => 'Updates: from the publisher.',
        4 => 'It lacks recovery tools, wireless drivers: they go onto a second stick.',
    ])
        ->and($said[1])->toStartWith('Signature: Its loader is signed by')
        ->and($step?->evidence[0]->id)->toBe('image_agreed_by')
        ->and($step?->opens[0]->stays)->toBeTrue()
        ->and(json_encode($plan->gather))->toContain('second stick: recovery tools, wireless drivers');
    foreach ($plan->steps as $one) {
        if (in_array(PathFact::IMAGE_PROVEN, $one->after, true)) {
            expect($one->before)->toContain(PathFact::IMAGE_ACCEPTED);
        }
        if ($one->id === 'gather.lay-out') {
            expect(implode(' ', $one->instructions))->toContain('wireless drivers');
        }
    }
});

it('says of the signature what holds for this machine', function (array $loader, string $says) {
    $plan = fromElsewhere(['reason' => 'a reader'], 'recorded', ['loader' => $loader]);
    expect(signing($plan)?->instructions[1])->toContain($says);
})->with([
    [['signed' => false], 'unsigned: it starts only with Secure Boot off'],
    [['signed' => true, 'signer' => 'platform'], 'which this machine trusts. That says nothing'],
    [['signed' => true, 'signer' => 'third-party'], 'does not trust as it comes'],
    [['signed' => true], 'the catalogue does not know'],
    [['signed' => null], 'Nobody has inspected'],
]);

it('tells the owner what nobody knows', function () {
    $said = implode(' ', signing(fromElsewhere(['kind' => 'third-party', 'reason' => 'a reader']))->instructions ?? []);
    expect($said)->toContain('put together by a third party')
        ->toContain('nobody says under which')
        ->toContain('nobody knows whether they reach it')
        ->not->toContain('It lacks');
});

it('holds for every kind of job that takes such an image', function (JobKind $kind) {
    $plan = fromElsewhere(['reason' => 'a reader'], 'off', [], $kind->value);
    expect(stopsOf($plan))->toBe(['image-policy']);
})->with([JobKind::CleanInstall, JobKind::MediaOnly, JobKind::FirstPowerOn, JobKind::DriveSwap]);

it('says of such an image what is true of it, word for word', function (string $name, array $origin, array $more) {
    $plan = fromElsewhere($origin, ...$more);
    $of = fn (object $one): bool => str_starts_with($one->id, 'image-') || $one->id === 'image.origin';
    holdsGolden("paths/{$name}", [
        'steps' => array_map(fn ($one) => $one->toArray(), array_values(array_filter($plan->steps, $of))),
        'decisions' => array_map(fn ($one) => $one->toArray(), array_values(array_filter($plan->decisions, $of))),
        'blockers' => array_map(fn ($one) => $one->toArray(), array_values(array_filter($plan->blockers, $of))),
    ]);
})->with([
    ['other-image-whole', [
        'reason' => 'a reader', 'licence' => 'as the publisher\'s', 'updates' => 'from the publisher',
        'lacks' => ['recovery tools'],
    ], []],
    ['other-image-bare', [], ['recorded', ['sha256' => null, 'loader' => ['signed' => null]]]],
    ['other-image-refused', ['reason' => 'a reader'], ['off']],
    ['other-image-unsigned', ['reason' => 'a reader'], ['recorded', ['loader' => ['signed' => false]]]],
    ['other-image-stranger', ['reason' => 'a reader'], ['recorded', ['loader' => ['signed' => true]]]],
    ['other-image-not-trusted', ['reason' => 'a reader'], [
        'recorded', ['loader' => ['signed' => true, 'signer' => 'third-party']],
    ]],
]);
