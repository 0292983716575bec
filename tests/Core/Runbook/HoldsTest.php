<?php

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\GateKind;
use Cobblestone\Runbook\Holds;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Walk;
use Tests\Support\Demo;

beforeEach(function () {
    $this->look = Demo::step('look', [], ['seen']);
    $this->copy = Demo::step('copy', ['seen'], ['copied'], acts: [Act::CopyData]);
    $this->write = Demo::step('write', ['seen'], ['written'], acts: [Act::WriteFirmware]);
    $this->erase = Demo::step('erase', ['written'], ['erased'], acts: [Act::Erase]);
    $this->note = Demo::step('note', ['seen'], ['noted']);
    $this->end = Demo::step('end', ['erased', 'noted'], [PathFact::HANDED_OVER], acts: [Act::HandOver]);
    $this->steps = [$this->look, $this->copy, $this->write, $this->erase, $this->note, $this->end];
    $this->shutIn = fn (array $blockers, array $questions = []): array => array_map(
        fn (array $step): array => array_column($step['shut_by'], 'opens_by', 'id'),
        array_column(Demo::planOf(Holds::on($this->steps, $blockers, $questions))->toArray()['steps'], null, 'id'),
    );
});

it('shuts with a stop everything that changes something, and not the copy', function () {
    expect(($this->shutIn)([Blocker::stop('x', 'No.', 'A2', Door::answer('x'))]))->toBe([
        'look' => [],
        'copy' => [],
        'write' => ['stop-x' => 'answer'],
        'erase' => ['stop-x' => 'answer', 'behind-write' => 'step'],
        'note' => [],
        'end' => ['stop-x' => 'answer', 'behind-erase' => 'step', 'behind-write' => 'step'],
    ])
        ->and(($this->shutIn)([Blocker::stop('x', 'No.', 'A2', Door::answer('x'), besides: [Act::CopyData])])['copy'])
        ->toBe(['stop-x' => 'answer']);
});

it('shuts with a narrower blocker what it names, what comes behind it, and the handover', function () {
    $shut = ($this->shutIn)([Blocker::narrow('x', 'No.', 'A5', [Act::Erase], Door::reading('lsblk', 'Read.'))]);
    expect($shut['write'])->toBe([])
        ->and($shut['erase'])->toBe(['stop-x' => 'reading'])
        ->and(array_keys($shut['end']))->toBe(['stop-x', 'behind-erase']);
});

it('shuts with a holding question what needs its answer, and with another nothing', function () {
    $asked = new Question('which', 'Which?', ['a' => 'A'], 'what', 'I1', 5, [Act::Erase]);
    $told = new Question('name', 'Name?', [], 'a title', 'A1', 5);
    $shut = ($this->shutIn)([], [$asked, $told]);
    expect($shut['erase'])->toBe(['answer-which' => 'answer'])
        ->and($shut['write'])->toBe([])
        ->and($told->holds())->toBeFalse()
        ->and(Question::fromArray($asked->toArray()))->toEqual($asked);
});

it('stands at the first stone that is not laid, and never walks past a shut one', function () {
    $leads = Blocker::stop('x', 'The card is under-led.', 'H5', Door::answer('card.leads', 'Say it.'));
    $plan = Demo::planOf(Holds::on($this->steps, [$leads], []));
    $entry = fn (EntryKind $kind, string $step, int $id) => new LogEntry($id, $kind, $step, $id, 'technician');
    $progress = Progress::of($plan, [$entry(EntryKind::Done, 'look', 1), $entry(EntryKind::Done, 'copy', 2)]);
    expect($progress->current()?->id)->toBe('write')
        ->and(fn () => (new Walk($progress))->done($plan->step('write'), []))
        ->toThrow(Refused::class, 'Stop: The card is under-led.')
        ->and(fn () => (new Walk($progress))->done($plan->step('end'), []))->toThrow(Refused::class, '"End" is shut');
    $away = Progress::of($plan, [$entry(EntryKind::Done, 'look', 1), $entry(EntryKind::WalkedAway, 'copy', 2)]);
    expect($away->current()?->id)->toBe('write');
});

it('hands nothing over while another stone is open', function () {
    $plan = Demo::planOf([$this->look, $this->note, Demo::step('end', ['seen'], [PathFact::HANDED_OVER])]);
    $done = fn (string ...$ids) => Progress::of(
        $plan,
        array_map(
            fn ($id, $at) => new LogEntry($at, EntryKind::Done, $id, $at, 'technician'),
            $ids,
            range(1, count($ids)),
        ),
    );
    expect(fn () => (new Walk($done('look')))->done($plan->step('end'), []))
        ->toThrow(Refused::class, '"End" comes last: "Note" is still open.')
        ->and((new Walk($done('look', 'note')))->done($plan->step('end'), []))->toBe(['evidence' => []]);
});

it('waives a gate for the words it had, and no others', function () {
    $with = fn (string $reason) => Demo::planOf(Holds::on(
        $this->steps,
        [Blocker::narrow('x', $reason, 'F5', [Act::WriteFirmware], Door::answer('x'))->waivableBy('lead')],
        [],
    ));
    $waived = [
        new LogEntry(1, EntryKind::Waived, 'write', 1, 'lead', ['gate' => 'stop-x', 'words' => 'Short by 1 Wh.']),
    ];
    expect(Progress::of($with('Short by 1 Wh.'), $waived)->shut($with('Short by 1 Wh.')->step('write')))->toBe([])
        ->and(Progress::of($with('Short by 90 Wh.'), $waived)->shut($with('Short by 90 Wh.')->step(
            'write',
        )))->not->toBe([]);
    expect(fn () => (new Walk(Progress::of(
        Demo::planOf(Holds::on($this->steps, [Blocker::stop('m', 'Managed.', 'A9', Door::none('Give it back.'))], [])),
        [],
    )))->waive(
        Holds::on($this->steps, [Blocker::stop('m', 'Managed.', 'A9', Door::none('Give it back.'))], [])[2],
        'stop-m',
        'lead',
        'me',
        'x'))->toThrow(Refused::class, 'cannot be waived by anybody: Managed. Give it back.');
});

it('keeps blockers, gates and acts through a plan that was written out', function () {
    $plan = Demo::plan('card-swap', ['card' => ['leads' => []]]);
    expect($plan->verdict()->value)->toBe('stop')
        ->and(Plan::fromArray((array) json_decode((string) json_encode($plan->toArray()), true))->toArray())
        ->toEqual($plan->toArray());
    $old = Blocker::fromStored('It cannot work.');
    expect($old->isStop())->toBeTrue()->and($old->reason)->toBe('It cannot work.');
    expect(
        Gate::fromArray([
            'id' => 'a',
            'fact' => 'f',
            'title' => 't',
            'opens_by' => '',
            'waivable_by' => [],
            'waives' => [],
        ])->kind,
    )
        ->toBe(GateKind::Answer);
});
