<?php

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\GateKind;
use Cobblestone\Runbook\OpensBy;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Shut;
use Tests\Support\Demo;

it('says of every act what it is', function () {
    expect(array_map(fn (Act $act) => $act->title(), Act::cases()))->toBe([
        'copy data', 'change the present system', 'write a stick', 'open the machine', 'fit a part',
        'close the machine', 'write firmware', 'change settings',
        'start a medium', 'erase', 'write a system', 'repair', 'use up a licence', 'hand over',
    ])->and(Act::changing())->toBe(array_slice(Act::cases(), 1));
});

it('says of every gate its word, and of every way to open it what to do', function () {
    expect(array_map(fn (GateKind $kind) => $kind->word(), GateKind::cases()))
        ->toBe(['stop', 'hold', 'needs an answer', 'hold'])
        ->and(array_map(fn (OpensBy $by) => $by->spoken(), OpensBy::cases()))->toBe([
            'An answer opens it.', 'Another choice at *Intake* opens it.', 'A page of this job opens it.',
            'Another reading opens it.', 'The stone before it opens it.',
            'A written waiver opens it.', 'Nothing opens it on this job.',
        ]);
});

it('says of every kind of evidence what its field wants', function () {
    expect(array_map(
        fn (EvidenceKind $kind) => [$kind->value, $kind->wants() !== '', $kind->isNumber()],
        EvidenceKind::cases(),
    ))
        ->toBe([
            ['text', false, false],
            ['person', true, false],
            ['choice', false, false],
            ['count', true, true],
            ['build', true, true],
            ['bytes', true, true],
            ['percent', true, true],
            ['tally', true, false],
            ['ticks', false, false],
            ['serial', true, false],
            ['size', true, false],
            ['date', true, false],
            ['rate', true, false],
        ])
        ->and(EvidenceKind::Rate->wants())->toContain('MT/s')
        ->and(EvidenceKind::Count->wants())->toBe('a whole number')
        ->and(EvidenceKind::Bytes->wants())->toContain('bytes')
        ->and(EvidenceKind::Percent->wants())->toContain('percent')
        ->and(EvidenceKind::Tally->wants())->toContain('6 × short')
        ->and(EvidenceKind::Serial->wants())->toContain('last four')
        ->and(EvidenceKind::Size->wants())->toContain('GiB')
        ->and(EvidenceKind::Date->wants())->toContain('2026-12-24');
});

it('makes a gate of a blocker, a stop where it shuts everything that changes', function () {
    $stop = Blocker::stop('hot', 'Too hot.', 'A5', $fan = Door::reading('lshw', 'Read it again.'), ['fan = off'], [
        Act::CopyData,
    ])
        ->waivableBy('lead');
    $narrow = Blocker::narrow('dry', 'Too dry.', 'M1', [Act::WriteStick], Door::none('Give it back.'), ['x'])
        ->waivableBy('technician');
    expect($stop->isStop())->toBeTrue()->and($narrow->isStop())->toBeFalse()
        ->and($stop->gate()->toArray())->toBe([
            'id' => 'stop-hot',
            'fact' => 'cleared.hot',
            'title' => 'Too hot.',
            'opens_by' => '',
            'waivable_by' => ['lead'],
            'waives' => [],
            'kind' => 'stop',
            'opens' => 'reading',
            'door' => $fan->toArray(),
            'rule' => 'A5',
            'facts' => ['fan = off'],
        ])
        ->and($narrow->gate()->toArray())->toMatchArray([
            'id' => 'stop-dry',
            'kind' => 'hold',
            'opens' => 'nothing',
            'waivable_by' => ['technician'],
            'facts' => ['x'],
            'rule' => 'M1',
        ])
        ->and($stop->covers(Demo::step('a', acts: [Act::CopyData])))->toBeTrue()
        ->and($narrow->covers(Demo::step('a', acts: [Act::CopyData])))->toBeFalse()
        ->and($narrow->covers(Demo::step('a', acts: [Act::Repair, Act::WriteStick])))->toBeTrue()
        ->and($narrow->covers(Demo::step('a')))->toBeFalse()
        ->and($narrow->covers(Demo::step('a', acts: [Act::HandOver])))->toBeTrue()
        ->and(Blocker::fromStored($stop->toArray()))->toEqual($stop)
        ->and(Blocker::fromStored($narrow->toArray()))->toEqual($narrow)
        ->and($stop->toArray()['unsafe'])->toBe([...array_map(fn ($act) => $act->value, Act::changing()), 'copy-data'])
        ->and($narrow->toArray()['unsafe'])->toBe(['write-stick', 'hand-over']);
});

it('takes a sentence of an earlier format for a stop that an answer opens', function () {
    $old = Blocker::fromStored('No stick is large enough.');
    expect($old->isStop())->toBeTrue()
        ->and($old->reason)->toBe('No stick is large enough.')
        ->and($old->rule)->toBe('K1')
        ->and($old->door)->toEqual(Door::before(OpensBy::Choice))
        ->and(strlen($old->id))->toBe(12)
        ->and(Blocker::fromStored('Another.')->id)->not->toBe($old->id)
        ->and(Blocker::fromStored('No stick is large enough.'))->toEqual($old);
});

it('says how a gate without a kind of its own opens, and keeps what it is', function () {
    $proof = new Gate(
        'backup',
        'protect.backup',
        'Backup',
        'protect.check-backup',
        ['lead'],
        ['protect.back-up'],
        rule: 'A6',
        facts: ['f'],
    );
    $answer = new Gate('q', 'answered.q', 'Which?', '');
    expect([$proof->kind, $proof->door->by, $proof->opensOnTheWay()])->toBe([GateKind::Proof, OpensBy::Step, true])
        ->and([$answer->kind, $answer->door->by, $answer->opensOnTheWay(), $answer->rule])
        ->toBe([GateKind::Answer, OpensBy::Answer, false, 'J12']);
    foreach ([$proof, $answer] as $gate) {
        $old = array_diff_key($gate->toArray(), ['kind' => 1, 'opens' => 1, 'door' => 1, 'facts' => 1]);
        expect(Gate::fromArray($gate->toArray()))->toEqual($gate)
            ->and([Gate::fromArray($old)->kind, Gate::fromArray($old)->door, Gate::fromArray($old)->facts])
            ->toEqual([$gate->kind, $gate->door, []]);
    }
    expect(Gate::fromArray(array_diff_key($proof->toArray(), ['rule' => 1]))->rule)->toBe('J12');
});

it('says of what shuts a stone whether somebody acts here or at a stone before', function () {
    $by = Shut::by(new Gate(
        'g',
        'f',
        'Too hot.',
        '',
        ['lead'],
        kind: GateKind::Stop,
        door: Door::waiver(),
        rule: 'A5',
    ));
    $behind = Shut::behind(Demo::step('first'));
    expect($by->toArray())->toBe([
        'id' => 'g',
        'reason' => 'Too hot.',
        'rule' => 'A5',
        'opens_by' => 'waiver',
        'door' => ['by' => 'waiver', 'at' => '', 'does' => 'Have it waived in writing.'],
        'waivable_by' => ['lead'],
    ])
        ->and($by->isHere())->toBeTrue()
        ->and($by->sentence())->toBe('stop: Too hot.')
        ->and($behind->toArray())->toBe([
            'id' => 'behind-first',
            'reason' => '"First" comes before it and is shut.',
            'rule' => 'K1',
            'opens_by' => 'step',
            'door' => ['by' => 'step', 'at' => 'first', 'does' => 'Lay "First" first.'],
            'waivable_by' => [],
        ])
        ->and($behind->isHere())->toBeFalse();
});

it('holds with a question what needs its answer, and the handover with it', function () {
    $holds = new Question('f', 'Which?', ['a' => 'A'], 'the way', 'A3', 7, [Act::Repair], [Act::Erase]);
    $asks = new Question('f', 'Which?', [], 'the way', 'A3', 7);
    expect($holds->holds())->toBeTrue()->and($asks->holds())->toBeFalse()
        ->and($holds->covers(Demo::step('a', acts: [Act::Repair])))->toBeTrue()
        ->and($holds->covers(Demo::step('a', acts: [Act::Erase])))->toBeFalse()
        ->and($holds->covers(Demo::step('a', acts: [Act::HandOver])))->toBeTrue()
        ->and($asks->covers(Demo::step('a', acts: [Act::HandOver])))->toBeFalse()
        ->and($holds->endsWith(Demo::step('a', acts: [Act::CopyData, Act::Erase])))->toBeTrue()
        ->and($holds->endsWith(Demo::step('a', acts: [Act::Repair])))->toBeFalse()
        ->and($asks->endsWith(Demo::step('a', acts: [Act::Erase])))->toBeFalse()
        ->and($holds->gate()->toArray())->toMatchArray([
            'id' => 'answer-f',
            'fact' => 'answered.f',
            'title' => 'Which?',
            'rule' => 'A3',
            'kind' => 'answer',
            'opens' => 'answer',
        ])
        ->and(json_decode((string) json_encode($holds->toArray()), true))
        ->toBe([
            'fact' => 'f',
            'text' => 'Which?',
            'options' => ['a' => 'A'],
            'decides' => 'the way',
            'rule' => 'A3',
            'weight' => 7,
            'holds' => true,
            'shuts' => ['repair'],
            'until' => ['erase'],
        ])
        ->and(
            Question::fromArray(['options' => ['a' => 'A']] + array_diff_key($holds->toArray(), [
                'shuts' => 1,
                'until' => 1,
            ]))->shuts,
        )
        ->toBe([Act::Erase])
        ->and(Question::fromArray(array_diff_key($asks->toArray(), ['shuts' => 1, 'until' => 1]))->shuts)->toBe([]);
});

it('brings evidence and what it is compared with through JSON without a loss', function () {
    $one = new Evidence(
        'e',
        'Label',
        EvidenceKind::Size,
        ['a' => 'A'],
        'hint',
        3,
        new Expected('5', 0.1, Expected::READING, '', true, true, ['sda' => 7]),
        ['lead'],
        'again',
        'a.fact',
        true,
    );
    $least = new Evidence('e', 'Label', 'text');
    $json = fn (Evidence $evidence): array => json_decode((string) json_encode($evidence->toArray()), true);
    expect(Evidence::fromArray($json($one)))->toEqual($one)->and(Evidence::fromArray($json($least)))->toEqual($least)
        ->and(Evidence::fromArray(['id' => 'e', 'label' => 'Label', 'kind' => 'text', 'options' => []]))
        ->toEqual($least)
        ->and(Confirmation::mask('SM5-2301-10C7F2'))->toBe('SM5-2301-10••••')
        ->and(Confirmation::mask('C7'))->toBe('••')
        ->and(Confirmation::mask(''))->toBe('');
});

it('fills in what was written down before, and nothing where nothing was', function () {
    $asIn = Expected::asIn('copy', 'files', 0.05);
    expect($asIn->resolved([])?->value)->toBeNull()
        ->and($asIn->resolved(['copy' => ['files' => '7']])?->toArray())
        ->toMatchArray(['value' => '7', 'tolerance' => 0.05, 'source' => Expected::EARLIER, 'from' => ''])
        ->and((new Expected('9'))->resolved([])?->value)->toBe('9');
});
