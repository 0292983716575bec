<?php

use Cobblestone\Assessment\Health\DriveHealth;
use Cobblestone\Machine\HealthReading;
use Tests\Support\Demo;

it('grades a spinning drive by its marks', function (array $readings, string $grade, string $fact) {
    $health = DriveHealth::judge($readings, Demo::catalogue()->healthRules());
    expect($health->grade->value)->toBe($grade)
        ->and($health->facts[0])->toContain($fact)
        ->and($health->readings)->toBe(count($readings));
})->with([
    'clean' => [[ata([5 => 0, 197 => 0, 198 => 0, 187 => 0, 199 => 0])], 'good', 'passed" proves nothing'],
    'clean, without the drive\'s word' => [
        [ata([5 => 0], passed: null)],
        'good',
        'None of its figures is past its mark.',
    ],
    'pending' => [[ata([5 => 0, 197 => 1])], 'replace', 'Sectors waiting to be put aside: 1'],
    'lost' => [[ata([198 => 2])], 'replace', 'Data there is already lost'],
    'unmended' => [[ata([187 => 3])], 'replace', 'Reads have failed'],
    'put aside once' => [[ata([5 => 8])], 'watch', 'a second reading in some days'],
    'put aside, the same twice' => [
        [ata([5 => 8], '2026-11-10T08:00Z'), ata([5 => 8])],
        'watch',
        'Sectors put aside: 8. Old damage',
    ],
    'put aside, rising' => [
        [ata([5 => 9]), ata([5 => 8], '2026-11-10T08:00Z')],
        'replace',
        'Sectors put aside: 9, 8 at the reading before',
    ],
    'fallen again' => [[ata([5 => 7]), ata([5 => 8], '2026-11-10T08:00Z')], 'watch', 'Sectors put aside: 7'],
    'cable' => [[ata([199 => 5], '2026-11-10T08:00Z'), ata([199 => 6])], 'cable-first', 'Change the cable'],
    'cable, not rising' => [[ata([199 => 6], '2026-11-10T08:00Z'), ata([199 => 6])], 'good', 'None of its figures'],
    'says so itself' => [[ata([5 => 0], passed: false)], 'replace', 'The drive itself says'],
    'worst first' => [
        [ata([5 => 3, 197 => 2, 199 => 9], '2026-11-10T08:00Z'), ata([5 => 3, 197 => 2, 199 => 12])],
        'replace',
        'Sectors waiting',
    ],
]);

it('grades an NVMe drive by its marks', function (array $figures, string $grade, string $fact) {
    $health = DriveHealth::judge([nvme($figures)], Demo::catalogue()->healthRules());
    expect($health->grade->value)->toBe($grade)->and($health->facts[0])->toContain($fact);
})->with([
    [['critical_warning' => 0, 'percentage_used' => 89, 'media_errors' => 0], 'good', 'None of its figures'],
    [['critical_warning' => 4], 'replace', 'warning of its own'],
    [['media_errors' => 1], 'replace', 'Media errors: 1'],
    [['available_spare' => 9], 'replace', 'Spare blocks in percent: 9'],
    [['available_spare' => 10], 'good', 'None'],
    [['percentage_used' => 90], 'watch', 'Life used in percent: 90'],
    [['percentage_used' => 99], 'watch', 'Near the end'],
    [['percentage_used' => 100], 'replace', 'past the life'], [['percentage_used' => 255], 'replace', '255'],
]);

it('calls no figures unknown, not healthy', function () {
    $health = DriveHealth::judge(
        [new HealthReading('B-1', 'Bollard', 'unknown', [], null, null)],
        Demo::catalogue()->healthRules(),
    );
    expect($health->grade->value)->toBe('unknown')->and($health->facts[0])->toContain('connect it directly');
});

it('puts the most urgent drive first and keeps drives apart', function () {
    $all = DriveHealth::all(
        [ata([5 => 0]), ata([5 => 0, 197 => 4], serial: 'KB-2'), ata([5 => 2], serial: 'KB-3')],
        Demo::catalogue()->healthRules(),
    );
    expect(array_map(fn ($drive) => "{$drive->serial} {$drive->grade->value}", $all))
        ->toBe(['KB-2 replace', 'KB-3 watch', 'KB-1 good'])
        ->and($all[0]->toArray()['facts'][0])->toContain('4');
});

$failing = [
    'readings' => [
        [
            'tool' => 'smartctl',
            'origin' => 'x',
            'health' => [
                [
                    'serial' => 'SM3-2207-88415D',
                    'model' => 'Saltmarsh NV-3',
                    'kind' => 'nvme',
                    'figures' => ['media_errors' => 3],
                    'passed' => true,
                ],
            ],
        ],
    ],
];

it('installs on no failing drive and rescues first', function () use ($failing) {
    $plan = Demo::plan('fairlead-13', ['machine' => $failing]);
    expect($plan->verdict()->value)->toBe('stop')
        ->and($plan->blockers[0]->reason)->toContain('is failing')
        ->and($plan->blockers[0]->door->does)->toContain('swap the drive')
        ->and($plan->step('protect.back-up')?->title)->toBe('Rescue the data')
        ->and($plan->step('protect.back-up')?->cautions[0])->toContain('nothing else is written to it');
});

it('says nothing about the target by another drive\'s figures', function () use ($failing) {
    $other = $failing;
    $other['readings'][0]['health'][0]['serial'] = 'SOMETHING-ELSE';
    expect(Demo::plan('fairlead-13', ['machine' => $other])->verdict()->value)->toBe('go');
});
