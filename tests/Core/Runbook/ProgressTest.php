<?php

use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\StepState;
use Cobblestone\Runbook\Walk;

beforeEach(fn () => erasingPath($this));

it('begins with the first stone ready and the rest ahead', function () {
    $progress = ($this->after)();
    expect($progress->state($this->copy))->toBe(StepState::Ready)
        ->and($progress->state($this->check))->toBe(StepState::Ahead)
        ->and($progress->missing($this->check))->toBe(['copied'])
        ->and($progress->current()?->id)->toBe('copy')
        ->and($progress->facts())->toBe(['given'])
        ->and($progress->isComplete())->toBeFalse()
        ->and($progress->finished())->toBe([]);
});

it('moves on to the next stone for hands while a wait runs', function () {
    $progress = ($this->after)([EntryKind::WalkedAway, 'copy', 100]);
    expect($progress->state($this->copy))->toBe(StepState::Running)
        ->and($progress->isAway($this->copy))->toBeTrue()
        ->and($progress->startedAt($this->copy))->toBe(100)
        ->and($progress->current()?->id)->toBe('weaken');
    $waiting = ($this->after)([EntryKind::Done, 'weaken', 1], [EntryKind::WalkedAway, 'copy', 100]);
    expect($waiting->current()?->id)->toBe('copy');
});

it('is overdue only past the worry mark of a running stone', function () {
    $progress = ($this->after)([EntryKind::Started, 'copy', 1000]);
    expect($progress->isOverdue($this->copy, 1240))->toBeFalse()
        ->and($progress->isOverdue($this->copy, 1241))->toBeTrue()
        ->and($progress->isOverdue($this->check, 9999))->toBeFalse()
        ->and(($this->after)([EntryKind::Started, 'copy', 1], [EntryKind::Done, 'copy', 2])->isOverdue(
            $this->copy,
            99_999,
        ))
        ->toBeFalse();
});

it('keeps the first start and forgets the away mark when done', function () {
    $progress = ($this->after)([EntryKind::WalkedAway, 'copy', 10], [EntryKind::Started, 'copy', 20], [
        EntryKind::Done, 'copy', 30,
    ]);
    expect($progress->startedAt($this->copy))->toBe(10)
        ->and($progress->doneAt($this->copy))->toBe(30)
        ->and($progress->isAway($this->copy))->toBeFalse()
        ->and($progress->facts())->toBe(['given', 'copied'])
        ->and($progress->finished())->toBe(['copy']);
});

it('takes a done back within ten seconds and not after', function () {
    $progress = ($this->after)([EntryKind::Done, 'copy', 100]);
    expect($progress->takeBackable(110)?->step)->toBe('copy')->and($progress->takeBackable(111))->toBeNull();
    $back = ($this->after)([EntryKind::Done, 'copy', 100], [EntryKind::TakenBack, 'copy', 105]);
    expect($back->state($this->copy))->toBe(StepState::Ready)
        ->and($back->takeBackable(106))->toBeNull()
        ->and($back->facts())->toBe(['given']);
    expect(fn () => (new Walk($progress))->takeBack(111))->toThrow(Refused::class, '10 seconds')
        ->and((new Walk($progress))->takeBack(110)->step)->toBe('copy');
});

it('opens trouble with a problem and a new try with a retry', function () {
    $trouble = ($this->after)([EntryKind::WalkedAway, 'copy', 5], [
        EntryKind::Problem,
        'copy',
        9,
        ['text' => 'stands still'],
    ]);
    expect($trouble->state($this->copy))->toBe(StepState::Trouble)
        ->and($trouble->trouble($this->copy))->toBe('stands still')
        ->and($trouble->tries($this->copy))->toBe(0);
    expect(fn () => (new Walk($trouble))->done($this->copy, []))->toThrow(Refused::class, 'problem open');
    expect((new Walk($trouble))->retry($this->copy))->toBe(['try' => 2])
        ->and((new Walk($trouble))->retry($this->copy, ' the cable ', 'another one'))
        ->toBe(['try' => 2, 'cause' => 'the cable', 'fix' => 'another one'])
        ->and((new Walk($trouble))->retry($this->copy, 'the cable'))->toBe(['try' => 2, 'cause' => 'the cable'])
        ->and(mb_strlen((new Walk($trouble))->retry($this->copy, str_repeat('ü', 9000))['cause']))
        ->toBe(EvidenceJudge::TEXT_LIMIT)
        ->and(fn () => (new Walk($trouble))->retry($this->copy, ' ', 'another one'))
        ->toThrow(Refused::class, 'what it was');
    $again = ($this->after)(
        [EntryKind::WalkedAway, 'copy', 5],
        [EntryKind::Problem, 'copy', 9, ['text' => 'x']],
        [EntryKind::Retry, 'copy', 20],
    );
    expect($again->state($this->copy))->toBe(StepState::Running)
        ->and($again->startedAt($this->copy))->toBe(20)
        ->and($again->tries($this->copy))->toBe(2)
        ->and($again->isAway($this->copy))->toBeFalse()
        ->and($again->trouble($this->copy))->toBeNull();
    $third = ($this->after)(
        [EntryKind::Problem, 'copy', 1],
        [EntryKind::Retry, 'copy', 2],
        [EntryKind::Problem, 'copy', 3],
        [EntryKind::Retry, 'copy', 4],
    );
    expect($third->tries($this->copy))->toBe(3);
    expect(fn () => (new Walk($again))->retry($this->copy))->toThrow(Refused::class, 'nothing to try again');
});

it('holds a one-way stone behind its gate, then behind its confirmation', function () {
    $shut = ($this->after)();
    expect($shut->shutGates($this->erase))->toHaveCount(1);
    expect(fn () => (new Walk($shut))->confirm($this->erase, '77aB'))->toThrow(Refused::class, 'cannot start yet');
    $open = ($this->after)([EntryKind::Done, 'copy', 1], [EntryKind::Done, 'check', 2]);
    expect($open->shutGates($this->erase))->toBe([])->and($open->isConfirmed($this->erase))->toBeFalse();
    expect(fn () => (new Walk($open))->done($this->erase, []))->toThrow(Refused::class, 'cannot be undone');
    expect(fn () => (new Walk($open))->start($this->erase))->toThrow(Refused::class, 'Confirm it');
    expect(fn () => (new Walk($open))->confirm($this->erase, '77aC'))->toThrow(Refused::class, 'not the last four');
    expect(fn () => (new Walk($open))->confirm($this->erase, ''))->toThrow(Refused::class);
    expect(fn () => (new Walk($open))->confirm($this->erase, '77AB', 'screen'))
        ->toThrow(Refused::class, 'Say where the serial was read')
        ->and((new Walk($open))->confirm($this->erase, ' 77AB ', 'setup'))
        ->toBe(['typed' => true, 'device' => 'Drive', 'read_from' => 'setup']);
    $confirmed = ($this->after)([EntryKind::Done, 'copy', 1], [EntryKind::Done, 'check', 2], [
        EntryKind::Confirmed, 'erase', 3,
    ]);
    expect($confirmed->isConfirmed($this->erase))->toBeTrue()
        ->and($confirmed->startedAt($this->erase))->toBe(3)
        ->and((new Walk($confirmed))->done($this->erase, []))->toBe(['evidence' => []]);
});

it('lets a lead waive a gate in writing, which lets its stones fall away', function () {
    $walk = new Walk(($this->after)());
    expect(fn () => $walk->waive($this->erase, 'backup', 'technician', 'owner', 'ok'))
        ->toThrow(Refused::class, 'Only a lead');
    expect(fn () => $walk->waive($this->erase, 'backup', 'lead', '  ', 'ok'))->toThrow(Refused::class, 'who agreed');
    expect(fn () => $walk->waive($this->erase, 'backup', 'lead', 'owner', ' '))->toThrow(Refused::class, 'a few words');
    expect(fn () => $walk->waive($this->erase, 'other', 'lead', 'owner', 'x'))->toThrow(Refused::class);
    expect($walk->waive($this->erase, 'backup', 'lead', 'owner', 'nothing of worth')->id)->toBe('backup');
    $waived = ($this->after)([EntryKind::Waived, 'erase', 1, ['gate' => 'backup']]);
    expect($waived->state($this->copy))->toBe(StepState::Waived)
        ->and($waived->state($this->check))->toBe(StepState::Waived)
        ->and($waived->shutGates($this->erase))->toBe([])
        ->and($waived->isWaived($this->erase->gates[0]))->toBeTrue()
        ->and($waived->finished())->toBe(['copy', 'check'])
        ->and($waived->current()?->id)->toBe('weaken');
    expect(fn () => (new Walk($waived))->start($this->copy))->toThrow(Refused::class, 'already done');
});
