<?php

use Cobblestone\Assessment\Backup\BackupFound;
use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\EncryptionFound;
use Cobblestone\Assessment\Memory\MemoryFound;
use Cobblestone\Assessment\Route\WeighedRung;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Findings\Findings;
use Cobblestone\Findings\TargetFound;
use Cobblestone\Machine\Contradiction;
use Cobblestone\Storage\DevicePart;
use Tests\Support\Demo;

it('takes a part of which nobody knows the purpose', function () {
    $part = ['name' => 'p1', 'bytes' => 512];
    expect(DevicePart::read(Fields::of($part))->role)->toBe('')
        ->and(DevicePart::read(Fields::of([...$part, 'role' => 'start']))->role)->toBe('start');
});

it('takes a memory sheet that wants no further test', function () {
    $sheet = [
        'fact' => 'bad', 'sentence' => 'M1 is bad.', 'settled' => true, 'trusted' => false, 'confidence' => 0.97,
        'suspects' => [['title' => 'module M1', 'share' => 0.97]],
    ];
    $next = ['placed' => ['M1' => 'A'], 'passes' => 2, 'minutes' => 12, 'sentence' => 'Slot 2 alone.'];
    $read = fn (array $of): MemoryFound => MemoryFound::read(Fields::of($of, 'memory'));
    expect($read($sheet)->next)->toBeNull()
        ->and($read($sheet)->suspects[0]->title)->toBe('module M1')
        ->and($read([...$sheet, 'next' => $next])->next->sentence)->toBe('Slot 2 alone.')
        ->and($read([...$sheet, 'next' => $next])->toArray())->toEqual([...$sheet, 'next' => $next])
        ->and(fn () => $read([...$sheet, 'suspects' => [['title' => 'M1']]]))
        ->toThrow(FieldFault::class, 'memory.suspects.0.share');
});

it('knows who settled a contradiction, and nobody else', function (?string $by, bool $known) {
    $fact = [
        'name' => 'cores', 'value' => 4, 'certainty' => 'known', 'source' => 'reading', 'origin' => 'lshw',
        'at' => null,
    ];
    $document = ['fact' => 'cores', 'kept' => $fact, 'set_aside' => [...$fact, 'value' => 8], 'settled_by' => $by];
    $read = fn () => Contradiction::read(Fields::of($document));
    $known ? expect($read()->toArray())->toBe($document) : expect($read)->toThrow(FieldFault::class, 'settled_by');
})->with([[null, true], ['rule', true], ['person', true], ['coin', false]]);

it('says nothing of a copy where nothing is copied', function () {
    $nothing = BackupFound::read(Fields::of(['keep' => 'nothing']));
    expect([$nothing->destination, $nothing->time, $nothing->bytes])->toBe([null, null, null])
        ->and($nothing->toArray())->toBe(['keep' => 'nothing']);
    $copied = [
        'keep' => 'some', 'bytes' => 512, 'need_bytes' => 640,
        'minutes' => ['low' => 1, 'likely' => 12, 'high' => 20, 'basis' => 'computed'],
        'destination' => 'Bollard drive', 'folders' => ['papers'], 'not_covered' => ['games'],
    ];
    $found = BackupFound::read(Fields::of($copied));
    expect($found->time->likely->inMinutes())->toBe(12.0)
        ->and([$found->bytes->count, $found->need->count])->toBe([512, 640])
        ->and($found->toArray())->toEqual($copied)
        ->and(fn () => BackupFound::read(Fields::of(['keep' => 'all'])))->toThrow(FieldFault::class, 'keep');
});

it('knows how a rung stands', function (string $standing, bool $known) {
    $rung = ['id' => 'clean', 'title' => 'Clean install', 'standing' => $standing];
    $read = fn () => WeighedRung::read(Fields::of($rung));
    $known ? expect($read()->standing)->toBe($standing) : expect($read)->toThrow(Exception::class);
})->with([['recommended', true], ['possible', true], ['harsher', true], ['out', true], ['in', false]]);

it('takes paths of before it was kept what a key is bound to', function () {
    $kept = ['protection' => 'chip', 'branch' => 'erased-anyway'];
    expect(EncryptionFound::read(Fields::of($kept))->boundTo)->toBe(Binding::Unknown)
        ->and(EncryptionFound::read(Fields::of([...$kept, 'bound_to' => 'keys']))->boundTo)->toBe(Binding::Keys)
        ->and(fn () => EncryptionFound::read(Fields::of([...$kept, 'bound_to' => 'luck'])))
        ->toThrow(FieldFault::class, 'bound_to');
});

it('takes paths of before a drive was said to be proven, read and measured', function () {
    $target = [
        'bytes' => 512, 'sector_bytes' => 512, 'assumed' => false,
        'after' => Demo::plan('fairlead-13')->layouts->all()['target']['after'],
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
