<?php

use Cobblestone\Handover\IntroWords;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\SheetPart;
use Tests\Support\Demo;

it('begins with what it is and what it was here for', function (
    array $job,
    array $initial,
    array $steps,
    string $words,
) {
    expect(IntroWords::of(Progress::of(smallPlan($job, $steps, $initial), [])))->toBe($words);
})->with([
    [
        ['goal' => 'media-only', 'stick' => 'S4', 'image' => 'Tansy Desktop 7.2', 'kind' => 'any'],
        [PathFact::STICK_PROVEN],
        [],
        'A stick, S4, with Tansy Desktop 7.2 for any machine that it fits, made for the lounge.',
    ],
    [
        ['goal' => 'media-only'],
        [],
        [],
        'A stick that is to be made with Tansy Desktop 7 Dock for a Norrel Fairlead 13, made for the lounge.',
    ],
    [
        [],
        [PathFact::SYSTEM_INSTALLED],
        [],
        'Norrel Fairlead 13, for the lounge. It now carries Tansy Desktop 7 Dock, installed fresh.',
    ],
    [
        ['edition' => null],
        [],
        [],
        'Norrel Fairlead 13, for the lounge. It is to carry Tansy Desktop 7, installed fresh.',
    ],
    [
        ['goal' => 'drive-swap'],
        [PathFact::SYSTEM_INSTALLED],
        [],
        'Norrel Fairlead 13, for the lounge. It now carries Tansy Desktop 7 Dock, installed fresh on a new drive.',
    ],
    [
        ['goal' => 'first-power-on', 'system' => null, 'edition' => null],
        [],
        [],
        'Norrel Fairlead 13, for the lounge. It is a new build. It is to carry a system.',
    ],
    [
        ['goal' => 'factory-restore'],
        [PathFact::SYSTEM_INSTALLED],
        [],
        'Norrel Fairlead 13, for the lounge. It now carries Tansy Desktop 7 Dock, as its maker delivered it.',
    ],
    [
        ['goal' => 'cable-restore'],
        [PathFact::SYSTEM_INSTALLED],
        [],
        'Norrel Fairlead 13, for the lounge. It now carries Tansy Desktop 7 Dock, restored over a cable.',
    ],
    [
        ['goal' => 'cable-restore'],
        [],
        [Demo::step('install.revive')],
        'Norrel Fairlead 13, for the lounge. It was here to be revived over a cable; your data was meant to stay.',
    ],
    [
        ['goal' => 'firmware-update'],
        [],
        [],
        'Norrel Fairlead 13, for the lounge. It was here to have its firmware updated; programs and files were not '
            .'touched.',
    ],
    [
        ['goal' => 'card-swap'],
        [],
        [],
        'Norrel Fairlead 13, for the lounge. It was here to get another graphics card; programs and files were meant '
            .'to stay.',
    ],
    [['goal' => 'repair'], [], [], 'Norrel Fairlead 13, for the lounge. It was here to be repaired in place.'],
    [
        ['goal' => 'upgrade'],
        [],
        [],
        'Norrel Fairlead 13, for the lounge. It was here to be upgraded to Tansy Desktop 7 Dock; programs and files '
            .'were meant to stay.',
    ],
]);

it('names six stones that are owed, and counts the rest', function (int $stones, string $words) {
    $steps = array_map(fn (int $n) => Demo::step("s{$n}"), range(1, $stones));
    expect(toldSheet(smallPlan([], $steps), [])->owed)->toBe([$words]);
})->with([
    [6, 'Still to be done: S1, S2, S3, S4, S5, S6.'],
    [7, 'Still to be done: S1, S2, S3, S4, S5, S6 and 1 more.'],
    [9, 'Still to be done: S1, S2, S3, S4, S5, S6 and 3 more.'],
]);

it('owes what is open of what was changed: putting back, or a signature', function () {
    $steps = [
        Demo::step(
            'a',
            opens: [
                new PutBack('boot', 'Secure Boot off', 'for the stick', 'b', false),
                new PutBack('fan', 'Fan curve', 'quieter', 'put-back.sign', true),
            ],
        ),
        Demo::step('b', ['never']),
    ];
    expect(toldSheet(smallPlan([], $steps), [Demo::entry(1, EntryKind::Done, 'a')])->owed)
        ->toBe(['Still to be done: B.', 'To be put back: Secure Boot off.', 'To be signed: Fan curve.']);
});

it('tells what was done in the order in which it was done, with what proves it', function () {
    $serial = new Evidence('serial', 'Serial', EvidenceKind::Serial);
    $steps = [
        Demo::step(
            'a',
            done: DoneWords::of('A was done', 'serial', 'left'),
            evidence: [
                $serial,
                new Evidence('left', 'Left', EvidenceKind::Text),
                new Evidence('other', 'Other', EvidenceKind::Text),
            ],
        ),
        Demo::step('b', done: DoneWords::in(SheetPart::Drivers, 'B came')),
        Demo::step('c', done: DoneWords::of('C was done')),
        Demo::step('d'),
    ];
    $entries = [
        Demo::entry(1, EntryKind::Done, 'c', 50),
        Demo::entry(2, EntryKind::Done, 'd', 60),
        Demo::entry(3, EntryKind::Done, 'a', 70, ['evidence' => ['serial' => 'SM3-1', 'left' => '', 'other' => 'x']]),
        Demo::entry(4, EntryKind::Done, 'b', 70),
    ];
    $sheet = toldSheet(smallPlan([], $steps), $entries)->toArray();
    expect($sheet['done'])->toBe([
        ['words' => 'C was done', 'at' => 50, 'proof' => []],
        ['words' => 'A was done', 'at' => 70, 'proof' => ['Serial: SM3-1']],
    ])
        ->and($sheet['parts'])->toBe(['Drivers' => [['words' => 'B came', 'at' => 70, 'proof' => []]]]);
    // At the same second the log's own order decides.
    $steps = [Demo::step('a', done: DoneWords::of('A')), Demo::step('b', done: DoneWords::of('B'))];
    $done = array_column(
        toldSheet(smallPlan([], $steps), [
            Demo::entry(1, EntryKind::Done, 'b', 5),
            Demo::entry(2, EntryKind::Done, 'a', 5),
        ])
            ->toArray()['done'],
        'words',
    );
    expect($done)->toBe(['B', 'A']);
});
