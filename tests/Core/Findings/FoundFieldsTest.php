<?php

use Cobblestone\Document\Fields;
use Cobblestone\Findings\BackupFound;
use Cobblestone\Findings\ContradictionFound;
use Cobblestone\Findings\Findings;
use Cobblestone\Findings\MemoryFound;
use Cobblestone\Findings\PartFound;
use Cobblestone\Findings\RungFound;
use Cobblestone\Findings\TargetFound;
use Tests\Support\Demo;

it('takes a part of which nobody knows the purpose', function () {
    $part = ['name' => 'p1', 'bytes' => 512];
    expect(PartFound::read(Fields::of($part))->role)->toBe('')
        ->and(PartFound::read(Fields::of([...$part, 'role' => 'start']))->role)->toBe('start');
});

it('takes a memory sheet that wants no further test', function () {
    $sheet = ['sentence' => 'All good.'];
    $next = [...$sheet, 'next' => ['sentence' => 'Slot 2 alone.']];
    expect(MemoryFound::read(Fields::of($sheet))->next)->toBeNull()
        ->and(MemoryFound::read(Fields::of($next))->next)->toBe('Slot 2 alone.');
});

it('knows who settled a contradiction, and nobody else', function (?string $by, bool $known) {
    $fact = ['name' => 'cores', 'value' => 4, 'certainty' => 'read', 'origin' => 'lshw'];
    $document = ['fact' => 'cores', 'kept' => $fact, 'set_aside' => [...$fact, 'value' => 8]];
    $document += $by === null ? [] : ['settled_by' => $by];
    $read = fn () => ContradictionFound::read(Fields::of($document));
    $known ? expect($read()->settledBy)->toBe($by) : expect($read)->toThrow(Exception::class);
})->with([[null, true], ['rule', true], ['person', true], ['coin', false]]);

it('knows how long copying takes, where somebody could reckon it', function () {
    expect(BackupFound::read(Fields::of([]))->likelyMinutes)->toBeNull()
        ->and(BackupFound::read(Fields::of(['minutes' => ['likely' => 12]]))->likelyMinutes)->toBe(12.0);
});

it('knows how a rung stands', function (string $standing, bool $known) {
    $rung = ['id' => 'clean', 'title' => 'Clean install', 'standing' => $standing];
    $read = fn () => RungFound::read(Fields::of($rung));
    $known ? expect($read()->standing)->toBe($standing) : expect($read)->toThrow(Exception::class);
})->with([['recommended', true], ['possible', true], ['harsher', true], ['out', true], ['in', false]]);

it('takes paths of before a drive was said to be proven, read and measured', function () {
    $target = [
        'bytes' => 512, 'sector_bytes' => 512, 'assumed' => false,
        'after' => Demo::plan('fairlead-13')->layouts['target']['after'],
    ];
    $old = TargetFound::read(Fields::of($target));
    expect([$old->proven, $old->read, $old->sectorAssumed])->toBe([true, true, false]);
    $told = TargetFound::read(Fields::of([...$target, 'proven' => false, 'read' => false, 'sector_assumed' => true]));
    expect([$told->proven, $told->read, $told->sectorAssumed])->toBe([false, false, true]);
});

it('tells power-ons of one number on several stones apart', function () {
    $plan = Demo::plan('fairlead-13');
    $findings = Findings::of($plan);
    foreach ($findings->rehearsal as $start) {
        expect($findings->start($start->step, $start->number))->toBe($start);
    }
    expect(count($findings->rehearsal))->toBeGreaterThan(2);
    foreach ($plan->steps as $step) {
        expect(array_is_list(Findings::startsOf($plan, $step)))->toBeTrue($step->id);
    }
});
