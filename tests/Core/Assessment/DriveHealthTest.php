<?php

use Cobblestone\Assessment\Health\DriveHealth;
use Cobblestone\Machine\HealthReading;
use Tests\Support\Demo;

function ata(array $figures, string $at = '2026-11-20T08:00Z', ?bool $passed = true, string $serial = 'KB-1'): HealthReading
{
    return new HealthReading($serial, 'Kelpbed 2T', 'ata', $figures, $passed, true, 2000398934016, $at);
}

function nvme(array $figures): HealthReading
{
    return new HealthReading('SM-1', 'Saltmarsh NV-3', 'nvme', ['available_spare' => 100, 'available_spare_threshold' => 10, ...$figures], true, false, 256060514304, '2026-11-20T08:00Z');
}

it('grades a spinning drive by its marks', function (array $readings, string $grade, string $fact) {
    $health = DriveHealth::judge($readings, Demo::catalogue()->healthRules());
    expect($health->grade->value)->toBe($grade)
        ->and($health->facts[0])->toContain($fact)
        ->and($health->readings)->toBe(count($readings));
})->with([
    'clean' => [[ata([5 => 0, 197 => 0, 198 => 0, 187 => 0, 199 => 0])], 'good', 'passed" proves nothing'],
    'clean, without the drive\'s word' => [[ata([5 => 0], passed: null)], 'good', 'None of its figures is past its mark.'],
    'pending' => [[ata([5 => 0, 197 => 1])], 'replace', 'Sectors waiting to be put aside: 1'],
    'lost' => [[ata([198 => 2])], 'replace', 'Data there is already lost'],
    'unmended' => [[ata([187 => 3])], 'replace', 'Reads have failed'],
    'put aside once' => [[ata([5 => 8])], 'watch', 'a second reading in some days'],
    'put aside, the same twice' => [[ata([5 => 8], '2026-11-10T08:00Z'), ata([5 => 8])], 'watch', 'Sectors put aside: 8. Old damage'],
    'put aside, rising' => [[ata([5 => 9]), ata([5 => 8], '2026-11-10T08:00Z')], 'replace', 'Sectors put aside: 9, 8 at the reading before'],
    'fallen again' => [[ata([5 => 7]), ata([5 => 8], '2026-11-10T08:00Z')], 'watch', 'Sectors put aside: 7'],
    'cable' => [[ata([199 => 5], '2026-11-10T08:00Z'), ata([199 => 6])], 'cable-first', 'Change the cable'],
    'cable, not rising' => [[ata([199 => 6], '2026-11-10T08:00Z'), ata([199 => 6])], 'good', 'None of its figures'],
    'says so itself' => [[ata([5 => 0], passed: false)], 'replace', 'The drive itself says'],
    'worst first' => [[ata([5 => 3, 197 => 2, 199 => 9], '2026-11-10T08:00Z'), ata([5 => 3, 197 => 2, 199 => 12])], 'replace', 'Sectors waiting'],
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
    $health = DriveHealth::judge([new HealthReading('B-1', 'Bollard', 'unknown', [], null, null)], Demo::catalogue()->healthRules());
    expect($health->grade->value)->toBe('unknown')->and($health->facts[0])->toContain('connect it directly');
});

it('puts the most urgent drive first and keeps drives apart', function () {
    $all = DriveHealth::all([ata([5 => 0]), ata([5 => 0, 197 => 4], serial: 'KB-2'), ata([5 => 2], serial: 'KB-3')], Demo::catalogue()->healthRules());
    expect(array_map(fn ($drive) => "{$drive->serial} {$drive->grade->value}", $all))->toBe(['KB-2 replace', 'KB-3 watch', 'KB-1 good'])
        ->and($all[0]->toArray()['facts'][0])->toContain('4');
});

$failing = ['readings' => [['tool' => 'smartctl', 'origin' => 'x', 'health' => [['serial' => 'SM3-2207-88415D', 'model' => 'Saltmarsh NV-3', 'kind' => 'nvme', 'figures' => ['media_errors' => 3], 'passed' => true]]]]];

it('installs on no failing drive and rescues first', function () use ($failing) {
    $plan = Demo::plan('fairlead-13', ['machine' => $failing]);
    expect($plan->verdict()->value)->toBe('stop')
        ->and($plan->blockers[0]->reason)->toContain('is failing')->toContain('swap the drive')
        ->and($plan->step('protect.back-up')?->title)->toBe('Rescue the data')
        ->and($plan->step('protect.back-up')?->cautions[0])->toContain('nothing else is written to it');
});

it('says nothing about the target by another drive\'s figures', function () use ($failing) {
    $other = $failing;
    $other['readings'][0]['health'][0]['serial'] = 'SOMETHING-ELSE';
    expect(Demo::plan('fairlead-13', ['machine' => $other])->verdict()->value)->toBe('go');
});

it('reads a rule as its words say, at the mark, below and above', function (string $when, mixed $than, ?int $was, int $now, bool $applies) {
    $rule = Cobblestone\Catalogue\HealthRule::fromArray(['figure' => 5, 'title' => 'Figure', 'when' => $when, 'than' => $than, 'grade' => 'watch', 'because' => 'Because.']);
    $fact = $rule->applies(ata([5 => $now, 9 => 10]), $was === null ? null : ata([5 => $was]));
    expect($fact !== null)->toBe($applies);
})->with([
    'above its mark' => ['above', 10, null, 11, true],
    'above, at the mark' => ['above', 10, null, 10, false],
    'below its mark' => ['below', 10, null, 9, true],
    'below, at the mark' => ['below', 10, null, 10, false],
    'at least, at the mark' => ['at-least', 10, null, 10, true],
    'at least, under it' => ['at-least', 10, null, 9, false],
    'against another figure' => ['below', '9', null, 9, true],
    'against another figure, at it' => ['below', '9', null, 10, false],
    'against a figure that was not given' => ['above', '77', null, 99, false],
    'no mark at all' => ['at-least', null, null, 99, false],
    'rising' => ['rising', null, 4, 5, true],
    'the same is not rising' => ['rising', null, 5, 5, false],
    'one reading is not rising' => ['rising', null, null, 5, false],
    'stable above nothing' => ['stable', null, 5, 5, true],
    'stable at nothing' => ['stable', null, 0, 0, false],
    'stable above its mark' => ['stable', 3, null, 4, true],
    'stable at its mark' => ['stable', 4, null, 4, false],
    'rising is not stable' => ['stable', null, 4, 5, false],
]);

it('refuses a word that is none', function () {
    Cobblestone\Catalogue\HealthRule::fromArray(['figure' => 5, 'title' => 'Figure', 'when' => 'sometimes', 'grade' => 'watch', 'because' => 'Because.']);
})->throws(Cobblestone\Document\FieldFault::class, 'when: choose one of rising, stable');

it('says a fact in words and figures', function () {
    $rule = fn (string $when) => Cobblestone\Catalogue\HealthRule::fromArray(['figure' => '5', 'title' => 'Sectors', 'when' => $when, 'grade' => 'watch', 'because' => 'Because.']);
    expect($rule('rising')->applies(ata([5 => 9]), ata([5 => 8])))->toBe('Sectors: 9, 8 at the reading before. Because.');
    expect($rule('stable')->applies(ata([5 => 9]), null))->toBe('Sectors: 9. Only one reading: a second reading in some days shows whether it rises.');
    expect($rule('stable')->applies(ata([5 => 9]), ata([5 => 9])))->toBe('Sectors: 9. Because.');
    expect($rule('rising')->applies(ata([9 => 9]), ata([5 => 8])))->toBeNull();
    expect($rule('rising')->applies(ata([5 => 9]), ata([9 => 8])))->toBeNull();
});

it('orders grades by urgency, and drives of one grade by serial', function () {
    $grades = Cobblestone\Catalogue\HealthGrade::cases();
    expect(array_map(fn ($grade) => $grade->urgency(), $grades))->toBe([0, 1, 2, 3, 4]);
    expect(array_map(fn ($grade) => $grade->title(), $grades))->toBe(['no sign of failing', 'unknown', 'watch', 'cable first', 'replace']);
    $all = DriveHealth::all([ata([5 => 0], serial: 'KB-9'), ata([5 => 0], serial: 'KB-1')], Demo::catalogue()->healthRules());
    expect(array_map(fn ($drive) => $drive->serial, $all))->toBe(['KB-1', 'KB-9']);
    expect($all[0]->toArray())->toBe(['serial' => 'KB-1', 'model' => 'Kelpbed 2T', 'grade' => 'good', 'facts' => ['None of its figures is past its mark; that the drive says "passed" proves nothing by itself.'], 'readings' => 1, 'at' => '2026-11-20T08:00Z']);
});

it('takes the only drive read without a serial for the only drive inside', function (array $drives, string $serial, bool $mine) {
    $health = new HealthReading($serial, 'Saltmarsh', 'nvme', ['media_errors' => 3], null, false);
    $drives = array_map(fn (array $drive) => new Cobblestone\Machine\Drive($drive[0], Cobblestone\Quantity\Bytes::of(9), $drive[1], transport: 'nvme'), $drives);
    $machine = new Cobblestone\Machine\Machine('x', Cobblestone\Machine\Kind::Laptop, Cobblestone\Machine\FactSheet::empty(), $drives, health: [$health]);
    $assessed = Cobblestone\Assessment\Health\HealthAssessment::assess($machine, $drives[0] ?? null, Demo::catalogue()->healthRules(), true);
    expect($assessed->rescueFirst())->toBe($mine);
    expect($assessed->contribution->blockers)->toHaveCount($mine ? 1 : 0);
    expect($assessed->toArray())->toHaveCount(1);
})->with([
    'its serial' => [[['nvme0n1', 'S-1']], 'S-1', true],
    'another serial' => [[['nvme0n1', 'S-1']], 'S-2', false],
    'the reading has none' => [[['nvme0n1', 'S-1']], 'no serial', true],
    'the drive has none' => [[['nvme0n1', null]], 'S-1', true],
    'nobody read the drives' => [[], 'S-1', true],
    'two drives inside' => [[['nvme0n1', 'S-1'], ['nvme1n1', 'S-3']], 'no serial', false],
]);
