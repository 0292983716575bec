<?php

use Cobblestone\Assessment\Health\DriveHealth;
use Cobblestone\Machine\HealthReading;
use Tests\Support\Demo;

it('reads a rule as its words say, at the mark, below and above', function (
    string $when,
    mixed $than,
    ?int $was,
    int $now,
    bool $applies,
) {
    $rule = Cobblestone\Catalogue\HealthRule::fromArray([
        'figure' => 5,
        'title' => 'Figure',
        'when' => $when,
        'than' => $than,
        'grade' => 'watch',
        'because' => 'Because.',
    ]);
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
    Cobblestone\Catalogue\HealthRule::fromArray([
        'figure' => 5,
        'title' => 'Figure',
        'when' => 'sometimes',
        'grade' => 'watch',
        'because' => 'Because.',
    ]);
})->throws(Cobblestone\Document\FieldFault::class, 'when: choose one of rising, stable');

it('says a fact in words and figures', function () {
    $rule = fn (string $when) => Cobblestone\Catalogue\HealthRule::fromArray([
        'figure' => '5',
        'title' => 'Sectors',
        'when' => $when,
        'grade' => 'watch',
        'because' => 'Because.',
    ]);
    expect($rule('rising')->applies(ata([5 => 9]), ata([5 => 8])))
        ->toBe('Sectors: 9, 8 at the reading before. Because.');
    expect($rule('stable')->applies(ata([5 => 9]), null))->toBe(
        'Sectors: 9. Only one reading: a second reading in some days shows whether it rises.',
    );
    expect($rule('stable')->applies(ata([5 => 9]), ata([5 => 9])))->toBe('Sectors: 9. Because.');
    expect($rule('rising')->applies(ata([9 => 9]), ata([5 => 8])))->toBeNull();
    expect($rule('rising')->applies(ata([5 => 9]), ata([9 => 8])))->toBeNull();
});

it('orders grades by urgency, and drives of one grade by serial', function () {
    $grades = Cobblestone\Catalogue\HealthGrade::cases();
    expect(array_map(fn ($grade) => $grade->urgency(), $grades))->toBe([0, 1, 2, 3, 4]);
    expect(array_map(fn ($grade) => $grade->title(), $grades))
        ->toBe(['no sign of failing', 'unknown', 'watch', 'cable first', 'replace']);
    $all = DriveHealth::all(
        [ata([5 => 0], serial: 'KB-9'), ata([5 => 0], serial: 'KB-1')],
        Demo::catalogue()->healthRules(),
    );
    expect(array_map(fn ($drive) => $drive->serial, $all))->toBe(['KB-1', 'KB-9']);
    expect($all[0]->toArray())->toBe([
        'serial' => 'KB-1',
        'model' => 'Kelpbed 2T',
        'grade' => 'good',
        'facts' => ['None of its figures is past its mark; that the drive says "passed" proves nothing by itself.'],
        'readings' => 1,
        'at' => '2026-11-20T08:00Z',
    ]);
});

it('takes the only drive read without a serial for the only drive inside', function (
    array $drives,
    string $serial,
    bool $mine,
) {
    $health = new HealthReading($serial, 'Saltmarsh', 'nvme', ['media_errors' => 3], null, false);
    $drives = array_map(
        fn (array $drive) => new Cobblestone\Machine\Drive(
            $drive[0],
            Cobblestone\Quantity\Bytes::of(9),
            $drive[1],
            transport: 'nvme',
        ),
        $drives,
    );
    $machine = new Cobblestone\Machine\Machine(
        'x',
        Cobblestone\Machine\Kind::Laptop,
        Cobblestone\Machine\FactSheet::empty(),
        $drives,
        health: [$health],
    );
    $assessed = Cobblestone\Assessment\Health\HealthAssessment::assess(
        $machine,
        $drives[0] ?? null,
        Demo::catalogue()->healthRules(),
        true,
    );
    expect($assessed->rescueFirst())->toBe($mine);
    expect($assessed->contribution->blockers)->toHaveCount($mine ? 1 : 0);
    expect($assessed->drives)->toHaveCount(1);
})->with([
    'its serial' => [[['nvme0n1', 'S-1']], 'S-1', true],
    'another serial' => [[['nvme0n1', 'S-1']], 'S-2', false],
    'the reading has none' => [[['nvme0n1', 'S-1']], 'no serial', true],
    'the drive has none' => [[['nvme0n1', null]], 'S-1', true],
    'nobody read the drives' => [[], 'S-1', true],
    'two drives inside' => [[['nvme0n1', 'S-1'], ['nvme1n1', 'S-3']], 'no serial', false],
]);
