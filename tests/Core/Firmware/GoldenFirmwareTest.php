<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Firmware\PressSequence;
use Cobblestone\Firmware\RankedWay;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\KindDefaults;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/** @return array<string, mixed> what the firmware part brought to a path */
function firmwarePartOf(Plan $plan): array
{
    $mine = ['firmware.', 'boot.', 'put-back.', 'power.'];
    $is = fn (string $id): bool => array_filter($mine, fn (string $start): bool => str_starts_with($id, $start)) !== [];

    return [
        'steps' => array_map(
            fn (Step $step): array => $step->toArray(),
            array_values(array_filter($plan->steps, fn (Step $step): bool => $is($step->id))),
        ),
        'decisions' => array_map(
            fn (Decision $one): array => $one->toArray(),
            array_values(array_filter($plan->decisions, fn (Decision $one): bool => $is($one->id))),
        ),
        'questions' => array_map(
            fn (Question $one): array => $one->toArray(),
            array_values(array_filter(
                $plan->questions,
                fn (Question $one): bool => $is($one->fact) || str_starts_with($one->fact, 'choice.'),
            )),
        ),
        'blockers' => array_map(fn ($one) => $one->toArray(), $plan->blockers), 'initial' => $plan->initial,
    ];
}

it('plans the firmware of these paths in these words', function (
    string $name,
    string $job,
    array $changes,
    array $policy,
) {
    holdsFirmwareGolden("path-{$name}", firmwarePartOf(Demo::plan($job, $changes, $policy)));
})->with([
    ['fairlead', 'fairlead-13', [], []],
    ['fairlead-permanent', 'fairlead-13', [], ['boot' => 'permanent-order']],
    ['capstan', 'capstan-t3', ['machine' => ['facts' => ['target.path' => 'nvme0n1']]], []],
    [
        'capstan-picture',
        'capstan-t3',
        [
            'machine' => [
                'facts' => [
                    'graphics.uefi_picture' => 'no',
                    'firmware.boot_mode' => 'both',
                    'firmware.controller_mode' => 'array',
                ],
            ],
        ],
        [],
    ],
    ['lantern', 'pocket-lantern', [], []],
    ['unknown', 'unknown-laptop', [], []],
    ['locked', 'locked-capstan', [], []],
    [
        'unsigned',
        'fairlead-13',
        ['image' => ['name' => 'x.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false]]],
        [],
    ],
    [
        'old-way-only',
        'fairlead-13',
        [
            'image' => [
                'name' => 'old.img',
                'bytes' => 3_000_000_000,
                'kind' => 'raw',
                'loader' => ['signed' => false, 'uefi' => false, 'legacy' => true],
            ],
        ],
        [],
    ],
    ['refused', 'fairlead-13', ['machine' => ['facts' => ['stick.refused' => 'yes']]], []],
    ['orrin-on-fairlead', 'fairlead-13', ['image' => 'orrin-desktop-3', 'system' => 'orrin-desktop-3'], []],
]);

it('says the ways in like this', function () {
    $found = [];
    foreach (Demo::catalogue()->machines() as $id => $model) {
        $machine = JobContext::of(
            Brief::fromArray([
                'brief' => 1,
                'title' => 'x',
                'goal' => 'firmware-update',
                'machine' => ['model' => $id],
            ]),
            Demo::catalogue(),
            Policy::of(),
        )->machine;
        foreach (
            [
                'menu' => WayIn::menu($machine),
                'setup' => WayIn::setup($machine),
                'recovery' => WayIn::recovery($machine),
            ] as $which => $way
        ) {
            $found[$id][$which] = [
                'source' => $way->source,
                'lines' => $way->instructions('the list'),
                'ranking' => array_map(
                    fn (RankedWay $one): array => [
                        $one->way->name(),
                        $one->from,
                        $one->worked,
                        $one->missed,
                        $one->percent(),
                    ],
                    $way->ranking,
                ),
            ];
            foreach ($way->ways as $one) {
                $sequence = PressSequence::of($one);
                $found[$id][$which]['presses'][] = [
                    array_map(
                        fn ($press): array => [$press->what, $press->from, $press->to, $press->tapped],
                        $sequence->presses,
                    ),
                    $sequence->marks,
                    $sequence->seconds,
                    $sequence->lanes(),
                ];
            }
        }
        if ($model->recovery !== null) {
            $sequence = PressSequence::ofMoves($model->recovery->sequence);
            $found[$id]['cable'] = [
                array_map(fn ($press): array => [$press->what, $press->from, $press->to], $sequence->presses),
                $sequence->marks,
                $sequence->seconds,
                $sequence->lanes(),
            ];
        }
    }
    foreach (Kind::cases() as $kind) {
        $found['kinds'][$kind->value] = KindDefaults::waysIn($kind)->toArray();
    }
    holdsFirmwareGolden('ways-in', $found);
});
