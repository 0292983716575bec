<?php

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

// Answers that name the wrong thing, or a thing that is not ready, shut what they spoil (rules A7, I1, U2, U6).

function blockerOf(Plan $plan, string $id): ?Blocker
{
    return array_values(array_filter($plan->blockers, static fn (Blocker $one): bool => $one->id === $id))[0] ?? null;
}

/**
 * A job with some of its machine's facts otherwise; null takes one away.
 *
 * @param  array<string, string|int|null>  $facts
 * @param  array<string, mixed>  $with
 */
function withFacts(string $job, array $facts, array $with = []): Plan
{
    $all = array_filter(
        [...Demo::brief($job)['machine']['facts'], ...$facts],
        static fn (string|int|null $value): bool => $value !== null,
    );

    return Demo::plan($job, ['machine' => ['facts' => $all], ...$with]);
}

it('writes no firmware while a drive is being decrypted', function (?string $percent, string $encryption, string $so) {
    $plan = withFacts('firmware-update', ['decrypt.percent' => $percent, 'drive.encryption' => $encryption]);
    $shut = blockerOf($plan, 'decrypting');
    $assumed = array_column($plan->assumed, 'fact');
    expect($shut !== null)->toBe($so === 'shut')
        ->and(in_array('decrypt.percent', $assumed, true))->toBe($so === 'assumed');
    if ($shut !== null) {
        expect($shut->reason)->toContain("{$percent} % so far")
            ->and($plan->step('firmware.write-1.14')?->gates)->not->toBe([])
            ->and($shut->door->at)->toBe('machine.facts.decrypt.percent');
    }
})->with([
    ['40', 'chip', 'shut'],
    ['99', 'chip', 'shut'],
    ['100', 'chip', 'open'],
    [null, 'chip', 'assumed'],
    [null, 'none', 'open'],
]);

it('takes no drive for the new one that is the old one', function (string $serial, bool $refused) {
    $plan = withFacts('drive-swap', ['target.serial' => $serial]);
    expect(blockerOf($plan, 'target-is-old') !== null)->toBe($refused)
        ->and($plan->verdict()->value === 'stop')->toBe($refused);
})->with([['SM3-2207-90A1F7', true], ['sm3-2207-90a1f7', true], ['SM3-2610-55E0C1', false]]);

it('copies nothing onto a drive that is failing itself, nor onto the one that is erased', function (
    string $serial,
    bool $passed,
    ?string $refused,
) {
    $brief = Demo::brief('fairlead-13');
    $read = [
        'tool' => 'smartctl', 'origin' => 'smartctl.json', 'at' => '2026-11-24T08:10+00:00',
        'health' => [[
            'serial' => 'GB-4420', 'model' => 'Bollard external drive', 'kind' => 'ata', 'figures' => [],
            'passed' => $passed, 'rotating' => true, 'bytes' => 500107862016, 'at' => '2026-11-24T08:10+00:00',
        ]],
    ];
    $plan = Demo::plan('fairlead-13', [
        'machine' => ['readings' => [$read]],
        'backup' => ['destination' => [...$brief['backup']['destination'], 'serial' => $serial]],
    ]);
    foreach (['destination-failing', 'destination-is-target'] as $id) {
        expect(blockerOf($plan, $id) !== null)->toBe($id === $refused);
    }
    if ($refused !== null) {
        expect($plan->step('protect.back-up')?->gates)->not->toBe([]);
    }
})->with([
    ['GB-4420', false, 'destination-failing'],
    ['gb-4420', false, 'destination-failing'],
    ['GB-4420', true, null],
    ['XX-1', false, null],
    ['SM3-2207-88415D', true, 'destination-is-target'],
]);

it('says how many clean passes open the gate', function (?int $set, string $says) {
    $sheet = [
        'modules' => ['M1' => 8, 'M2' => 8], 'slots' => ['Slot A', 'Slot B'], 'passes' => $set,
        'profile' => 'faster', 'tests' => [[
            'placed' => ['M1' => 'Slot A', 'M2' => 'Slot B'], 'profile' => 'faster', 'passes' => 1,
            'outcome' => 'errors',
        ]],
    ];
    $plan = Demo::plan('fairlead-13', ['memory' => array_filter($sheet, static fn ($one): bool => $one !== null)]);
    expect(blockerOf($plan, 'memory')?->reason)->toContain("not yet {$says} at standard speed")
        ->and(blockerOf($plan, 'memory')?->door->does)->toContain($says)
        ->and(blockerOf($plan, 'memory')?->unsafe)->toContain(Act::CopyData);
})->with([[null, '2 clean passes'], [1, '1 clean pass'], [4, '4 clean passes']]);
