<?php

use Cobblestone\Bench\ShiftLine;
use Cobblestone\Bench\Standing;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Runbook\EntryKind;
use Tests\Support\Demo;

/** @param  list<array{0: EntryKind, 1: string|null, 2?: array<string, mixed>}>  $entries */
function shiftOf(array $entries): ShiftLine
{
    return ShiftLine::of(array_map(
        static fn (array $one, int $i) => Demo::entry($i + 1, $one[0], $one[1], $i, $one[2] ?? []),
        $entries,
        array_keys($entries),
    ), ['copy' => 'Copy files', 'erase' => 'Erase', 'look' => 'Look']);
}

it('tells what was laid and still lies, in the order in which it was laid', function () {
    $line = shiftOf([
        [EntryKind::Started, 'copy'],
        [EntryKind::Done, 'copy'],
        [EntryKind::Done, 'look'],
        [EntryKind::TakenBack, 'copy'],
        [EntryKind::Done, 'erase'],
        [EntryKind::Done, 'copy'],
        [EntryKind::Note, 'copy', ['text' => 'said']],
    ]);
    expect($line->laid)->toBe(['Look', 'Erase', 'Copy files'])
        ->and($line->open)->toBe([])
        ->and($line->ended)->toBe([])
        ->and($line->other)->toBe([])
        ->and($line->isEmpty())->toBeFalse();
});

it('says a stone of an earlier shift that was taken back, and one whose path is gone', function () {
    $line = shiftOf([
        [EntryKind::TakenBack, 'look'],
        [EntryKind::Done, 'gone'],
        [EntryKind::Waived, 'erase', ['words' => 'Backup proven', 'agreed_by' => 'the owner']],
        [EntryKind::Waived, 'erase'],
        [EntryKind::Replanned, null, ['text' => 'intake changed']],
    ]);
    expect($line->laid)->toBe(['a stone of an earlier path'])->and($line->other)->toBe([
        'taken back: Look',
        'waived: Backup proven, agreed by the owner',
        'waived',
        'path computed again: intake changed',
    ]);
});

it('keeps problems open until something ends them', function () {
    $begun = [
        [EntryKind::Problem, 'copy', ['text' => 'stands still']],
        [EntryKind::Problem, 'copy', ['text' => 'clicks']],
        [EntryKind::Problem, 'look', ['text' => '']],
    ];
    expect(shiftOf($begun)->open)->toBe(['Copy files: stands still', 'Copy files: clicks', 'Look'])
        ->and(shiftOf([...$begun, [EntryKind::Retry, 'copy', ['try' => 2]]])->ended)
        ->toBe(['Copy files: stands still and Copy files: clicks, tried again'])
        ->and(shiftOf([...$begun, [EntryKind::Helped, 'copy', ['cause' => 'Cable.']]])->open)->toBe(['Look'])
        ->and(shiftOf([...$begun, [EntryKind::Done, 'copy']])->open)->toBe(['Look'])
        ->and(shiftOf([[EntryKind::Retry, 'copy', ['cause' => 'the cable', 'fix' => 'another one']]])->ended)
        ->toBe(['Copy files, it was: the cable; what helped: another one'])
        ->and(shiftOf([[EntryKind::Helped, 'copy', ['cause' => 'the cable']]])->ended)
        ->toBe(['Copy files, it was: the cable']);
});

it('is empty where nothing of it matters to the next shift', function (EntryKind $kind) {
    expect(shiftOf([[$kind, 'copy', ['text' => 'x']]])->isEmpty())->toBeTrue();
})->with([EntryKind::Started, EntryKind::WalkedAway, EntryKind::Note, EntryKind::KeyShown]);

it('is not empty for one thing alone', function (EntryKind $kind) {
    expect(shiftOf([[$kind, 'copy', ['text' => 'x']]])->isEmpty())->toBeFalse();
})->with([EntryKind::Done, EntryKind::Problem, EntryKind::Retry, EntryKind::TakenBack, EntryKind::Waived]);

it('reads how a job stands out of its summary, and the same again out of what was kept', function () {
    $standing = Standing::of(Fields::of([
        'complete' => false,
        'current' => ['title' => 'Erase', 'state' => 'trouble'],
        'away' => [['title' => 'Copy files', 'started_at' => 100, 'likely' => 60]],
        'waiting' => ['for' => 'pick-up', 'since' => 4],
        'put_back' => 2,
    ]));
    expect($standing->toArray())->toBe([
        'complete' => false,
        'next' => 'Erase',
        'state' => 'trouble',
        'away' => [['title' => 'Copy files', 'until' => 160]],
        'waits' => 'pick-up',
        'putBack' => 2,
    ])->and(Standing::read(Fields::of($standing->toArray())))->toEqual($standing);
    $over = Standing::of(Fields::of(['complete' => true, 'current' => null, 'away' => [], 'put_back' => 0]));
    expect([$over->complete, $over->next, $over->state, $over->waits])->toBe([true, null, '', null])
        ->and(Standing::of(Fields::of(['away' => [], 'put_back' => 0]))->complete)->toBeFalse();
    $unknown = ['away' => [], 'put_back' => 0, 'waiting' => ['for' => 'the tide', 'since' => 1]];
    expect(Standing::of(Fields::of($unknown))->waits)->toBe('the tide')
        ->and(fn () => Standing::of(Fields::of([])))->toThrow(FieldFault::class);
});
