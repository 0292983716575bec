<?php

use Cobblestone\Hardware\OpenedCase;
use Cobblestone\Hardware\Screws;
use Cobblestone\Machine\Kind;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/** The stones that open, fit and close, and what they are made of. */
function partsPlan(string $job, array $changes = []): Plan
{
    return Demo::plan($job, $changes);
}

it('warns of a battery lead only where there is one', function (Kind $kind, bool $battery) {
    $words = implode(' ', OpenedCase::cautions($kind));
    expect(str_contains($words, 'battery lead'))
        ->toBe($battery)
        ->and(str_contains($words, 'swollen cell'))
        ->toBe($battery)
        ->and(str_contains($words, 'Mains parts'))
        ->toBe(! $battery)
        ->and($words)
        ->toContain('Fully off')
        ->toContain('discharge yourself')
        ->and(str_contains($words, $battery ? 'charger out' : 'mains out'))
        ->toBeTrue();
})->with([[Kind::Laptop, true], [Kind::Handheld, true], [Kind::Desktop, false]]);

it('wants as many screws of each type in as came out', function () {
    [$out, $in] = [Screws::out(), Screws::in('open')];
    expect([$out->id, $out->kind, $out->expected])
        ->toBe(['screws_out', EvidenceKind::Tally, null])
        ->and([$in->id, $in->kind, $in->overruledBy])
        ->toBe(['screws_in', EvidenceKind::Tally, ['technician', 'lead']])
        ->and($in->remedy)
        ->toContain('a loose screw shorts a board')
        ->and($in->expected?->toArray())
        ->toMatchArray(['from' => 'open:screws_out', 'tolerance' => 0.0]);
});

it('opens, fits and closes a machine in an order that can be undone', function () {
    $plan = partsPlan('drive-swap');
    $order = array_map(fn (Step $step) => $step->id, $plan->steps);
    $at = fn (string $id) => array_search($id, $order, true);
    expect($at('hardware.swap-drive'))
        ->toBeLessThan($at('hardware.close'))
        ->and($at('hardware.close'))
        ->toBeLessThan($at('install.carry-over'))
        ->and($at('install.carry-over'))
        ->toBeLessThan($at('put-back.old-drive'))
        ->and($plan->step('hardware.swap-drive')->opens[0]->closedBy)
        ->toBe('put-back.old-drive')
        ->and($plan->step('put-back.old-drive')->before)
        ->toBe([PathFact::PROVEN, PathFact::PART_FITTED, 'data.carried-over'])
        ->and($plan->step('put-back.old-drive')->after)
        ->toBe([PathFact::putBack('old-drive')])
        ->and($plan->step('hardware.close')->before)
        ->toBe([PathFact::PART_SEEN, PathFact::FIRMWARE_RECORDED, PathFact::FIRMWARE_READY])
        ->and($plan->step('install.carry-over')->presence)
        ->toBe(Presence::WalkAway);
});

it('carries over as many files as were planned, the same on both sides', function (
    string $from,
    string $over,
    string $verdict,
) {
    $step = partsPlan('drive-swap', ['backup' => ['files' => 1000, 'bytes' => '50 GB']])->step('install.carry-over');
    $wanted = array_column(array_map(fn ($one) => [$one->id, $one], $step->evidence), 1, 0);
    expect(array_keys($wanted))->toBe([
        'files_old',
        'files_over',
        'bytes_old',
        'bytes_over',
        'checksums_home',
        'samples_home',
        'rights_home',
        'online_only',
    ]);
    $given = [
        'files_old' => $from,
        'files_over' => $over,
        'bytes_old' => '50000000000',
        'bytes_over' => '50000000000',
    ];
    $verdicts = array_map(
        fn (string $id) => EvidenceJudge::judge($wanted[$id], $given[$id], ['install.carry-over' => $given])->verdict
            ->value,
        array_keys($given),
    );
    expect(in_array('differs', $verdicts, true) ? 'differs' : 'holds')->toBe($verdict);
})->with([
    ['1000', '1000', 'holds'],
    ['950', '950', 'holds'],
    ['949', '949', 'differs'],
    ['1000', '999', 'differs'],
    ['1', '1', 'differs'],
    ['1050', '1050', 'holds'],
    ['1051', '1051', 'differs'],
]);

it('carries nothing over where nothing is kept', function () {
    $plan = partsPlan('drive-swap', ['backup' => ['keep' => 'nothing']]);
    expect($plan->step('install.carry-over'))
        ->toBeNull()
        ->and($plan->step('put-back.old-drive')->before)
        ->toBe([PathFact::PROVEN, PathFact::PART_FITTED])
        ->and(json_encode($plan->gather))
        ->not->toContain('adapter or enclosure');
});

it('decrypts the old drive first where its key is lost and it has to be read elsewhere', function (
    array $facts,
    string $minutes,
) {
    $plan = partsPlan('drive-swap', [
        'machine' => [
            'facts' => [
                'drive.encryption' => 'chip',
                'encryption.binding' => 'keys',
                'encryption.key' => 'no',
                ...$facts,
            ],
        ],
    ]);
    $step = $plan->step('protect.decrypt');
    expect($step)
        ->not->toBeNull()
        ->and((string) round($step->time->likely->seconds / 60))
        ->toBe($minutes)
        ->and($plan->step('hardware.swap-drive')->before)
        ->toContain(...$step->after);
})->with(function () {
    $bytes = 256060514304;
    $minutes = fn (float $left, float $rate) => (string) round($left / ($rate * 1e6) / 60);

    return [
        [[], $minutes($bytes, 60)],
        [['decrypt.mb_s' => 120], $minutes($bytes, 120)],
        [['decrypt.mb_s' => 0], $minutes($bytes, 60)],
        [['decrypt.percent' => 50], $minutes($bytes / 2, 60)],
        [['decrypt.bytes' => 156060514304, 'decrypt.percent' => 1], $minutes(1e11, 60)],
        [['decrypt.percent' => 100], $minutes(0, 60)],
    ];
});

it('counts the parts of a new build before a system hides what is missing', function () {
    $plan = partsPlan('new-capstan');
    $rows = $plan->step('hardware.first-power')->rows;
    expect(array_column($rows, 'must be', 'seen in setup'))
        ->toMatchArray(['Drive' => 'listed, 512.1 GB (476.9 GiB)'])
        ->toHaveKeys(['Memory', 'Cores', 'Processor temperature'])
        ->and($plan->step('hardware.first-power')->presence)
        ->toBe(Presence::StayNear)
        ->and($plan->step('hardware.close')->before)
        ->toBe([PathFact::POWERED_ONCE, PathFact::FIRMWARE_RECORDED, PathFact::FIRMWARE_READY]);
});
