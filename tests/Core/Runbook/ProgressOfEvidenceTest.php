<?php

use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Walk;
use Tests\Support\Demo;

beforeEach(fn () => erasingPath($this));

it('wants every evidence, in its kind', function (array $given, string $sentence) {
    $walk = new Walk(($this->after)([EntryKind::Done, 'copy', 1]));
    expect(fn () => $walk->done($this->check, $given))->toThrow(Refused::class, $sentence);
})->with([
    [[], 'Write down: Files'],
    [['count' => 'many', 'how' => 'a'], 'a whole number is wanted'],
    [['count' => '2', 'how' => 'a'], 'at least 3'],
    [['count' => '3'], 'Write down: How'],
    [['count' => '3', 'how' => 'b'], 'choose one of A'],
    [['count' => ['x'], 'how' => 'a'], 'Write down'],
    [['count' => '3', 'how' => str_repeat('x', 5000)], 'no more than'],
]);

it('keeps exactly the evidence it asked for', function () {
    expect((new Walk(($this->after)([EntryKind::Done, 'copy', 1])))->done($this->check, [
        'count' => ' 3 ',
        'how' => 'a',
        'more' => 'x',
    ]))
        ->toBe(['evidence' => ['count' => '3', 'how' => 'a']]);
});

it('refuses what is done, ahead or gone', function () {
    $walk = new Walk(($this->after)([EntryKind::Done, 'copy', 1]));
    expect(fn () => $walk->start($this->copy))->toThrow(Refused::class, 'already done')
        ->and(fn () => $walk->start($this->restore))->toThrow(Refused::class, 'first erased')
        ->and(fn () => $walk->step('gone'))->toThrow(Refused::class, 'no step "gone"')
        ->and($walk->step('copy')->id)->toBe('copy')
        ->and(fn () => $walk->problem($this->restore, 'x'))->toThrow(Refused::class)
        ->and(fn () => $walk->words('  '))->toThrow(Refused::class)
        ->and($walk->words(' a '))->toBe('a')
        ->and(mb_strlen($walk->words(str_repeat('é', 5000))))->toBe(4000)
        ->and($walk->problem($this->check, ' b '))->toBe('b');
});

it('keeps a put-back entry open from the stone that opens it to the one that closes it', function () {
    expect(($this->after)()->openPutBacks())->toBe([]);
    $open = ($this->after)([EntryKind::Done, 'weaken', 1])->openPutBacks();
    expect($open)->toHaveCount(1)->and($open[0]['entry']->id)->toBe('lock')->and($open[0]['step'])->toBe('weaken');
    expect(($this->after)([EntryKind::Done, 'weaken', 1], [EntryKind::Done, 'restore', 2])->openPutBacks())->toBe([]);
});

it('forgets a fact that a later stone removed, whatever the order of ids', function () {
    expect(($this->after)([EntryKind::Done, 'weaken', 1], [EntryKind::Done, 'restore', 2])->facts())
        ->not->toContain('weak')
        ->toContain('restored')
        ->and(($this->after)([EntryKind::Done, 'restore', 1], [EntryKind::Done, 'weaken', 2])->facts())
        ->toContain('weak');
});

it('is complete once handed over, and survives entries for stones that are gone', function () {
    $progress = ($this->after)(
        [EntryKind::Created, null],
        [EntryKind::Note, 'gone', 1],
        [EntryKind::Done, 'gone', 2],
        [EntryKind::Done, 'end', 3],
    );
    expect($progress->isComplete())->toBeTrue()->and($progress->finished())->toContain('end');
});

it('masks exactly the part that has to be read from the drive', function (string $serial, string $masked) {
    expect(Confirmation::mask($serial))->toBe($masked);
})->with([['SM3-2207-88415D', 'SM3-2207-88••••'], ['ABCD', '••••'], ['AB', '••'], ['', '']]);

it('accepts anything only where nothing has to be typed', function () {
    expect((new Confirmation('d', 1, 'ABCD', '', '', false))->accepts('zz'))->toBeTrue()
        ->and((new Confirmation('d', 1, null, '', '', true))->accepts(''))->toBeTrue()
        ->and((new Confirmation('d', 1, 'XABCD', '', '', true))->accepts('XABCD'))->toBeTrue()
        ->and((new Confirmation('d', 1, 'XABCD', '', '', true))->accepts('ABC'))->toBeFalse();
});

it('asks until what makes an answer pointless was done', function () {
    $plan = Demo::plan('capstan-t3', ['machine' => ['facts' => ['drive.encryption' => 'unknown']]]);
    $asked = fn (array $laid) => array_map(
        fn ($one) => $one->fact,
        Progress::of($plan, array_map(fn ($id) => Demo::entry(1, EntryKind::Done, $id), $laid))->asked(),
    );
    expect($asked([]))->toContain('drive.encryption')->and($asked(['media.write']))->toContain('drive.encryption')
        ->and($asked(['target.erase']))->not->toContain('drive.encryption')
        ->and(count($asked([])) - count($asked(['target.erase'])))->toBe(1);
    $stays = Demo::plan('firmware-update', ['machine' => ['facts' => ['drive.encryption' => 'unknown']]]);
    expect(array_map(fn ($one) => [$one->fact, $one->until], $stays->questions))->toContain(['drive.encryption', []])
        ->and(Cobblestone\Runbook\Question::fromArray($plan->questions[0]->toArray()))->toEqual($plan->questions[0]);
});
