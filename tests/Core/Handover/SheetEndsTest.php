<?php

use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\PutBack;
use Tests\Support\Demo;

it('tells a waiver in its gate\'s words, and an older one by the title its gate has', function () {
    $steps = [
        Demo::step(
            'a',
            gates: [new Gate('first', 'f', 'The first gate', ''), new Gate('second', 's', 'The second gate', '')],
        ),
    ];
    $entries = [
        new LogEntry(1, EntryKind::Waived, 'a', 0, 'lead', [
            'gate' => 'second',
            'agreed_by' => 'the lounge',
            'text' => 'on paper',
        ]),
        new LogEntry(2, EntryKind::Waived, 'a', 0, 'lead', ['gate' => 'first', 'words' => 'as it stood then']),
        new LogEntry(3, EntryKind::Waived, 'a', 0, 'lead', ['gate' => 'gone']),
        new LogEntry(4, EntryKind::Note, 'a', 0, 'lead', ['gate' => 'first']),
    ];
    expect(toldSheet(smallPlan([], $steps), $entries)->waived)->toBe([
        ['what' => 'The second gate', 'agreed_by' => 'the lounge', 'role' => 'lead', 'text' => 'on paper'],
        ['what' => 'as it stood then', 'agreed_by' => '', 'role' => 'lead', 'text' => ''],
        ['what' => 'gone', 'agreed_by' => '', 'role' => 'lead', 'text' => ''],
    ]);
});

it('tells what was left unread and accepted as not read', function () {
    $steps = [
        Demo::step(
            'a',
            evidence: [
                new Evidence('x', 'X', EvidenceKind::Text),
                new Evidence('y', 'Y', EvidenceKind::Text),
                new Evidence('z', 'Z', EvidenceKind::Text),
            ],
        ),
    ];
    $data = [
        'findings' => [
            'x' => ['verdict' => 'not-read', 'words' => 'nothing'],
            'y' => ['verdict' => 'differs', 'words' => '3, not 4'],
        ],
        'overruled' => ['x' => 'no window', 'y' => 'lost'],
    ];
    expect(toldSheet(smallPlan([], $steps), [Demo::entry(1, EntryKind::Done, 'a', 0, $data)])->accepted)->toBe([
        ['what' => 'X', 'words' => 'not read', 'reason' => 'no window', 'role' => 'technician'],
        ['what' => 'Y', 'words' => '3, not 4', 'reason' => 'lost', 'role' => 'technician'],
    ]);
});

it('tells what stays other than it was, signed or not', function (array $laid, array $stays) {
    $steps = [
        Demo::step(
            'a',
            opens: [
                new PutBack('fan', 'Fan curve', 'Quieter.', 'put-back.sign', true),
                new PutBack('boot', 'Secure Boot', 'x', 'b', false),
            ],
            rows: [
                ['where' => 'Boot order', 'becomes' => 'drive first', 'put back' => 'stays'],
                ['where' => 'Secure Boot', 'becomes' => 'off', 'put back' => 'later'],
                ['where' => 'No value', 'put back' => 'stays'],
            ]),
        Demo::step('put-back.sign', evidence: [new Evidence('signed_by', 'By', EvidenceKind::Text)]),
    ];
    $entries = array_map(
        fn (string $id): LogEntry => Demo::entry(
            $id === 'a' ? 1 : 2,
            EntryKind::Done,
            $id,
            0,
            $id === 'a' ? [] : ['evidence' => ['signed_by' => 'the lounge']],
        ),
        $laid,
    );
    expect(toldSheet(smallPlan([], $steps), $entries)->stays)->toBe($stays);
})->with([
    [[], []],
    [['a'], ['Fan curve stays like this on purpose. Quieter. To be signed.', 'Boot order is now "drive first".']],
    [
        ['a', 'put-back.sign'],
        ['Fan curve stays like this on purpose. Quieter. Signed: the lounge.', 'Boot order is now "drive first".'],
    ],
]);

it('tells how it came in and what goes back', function (?array $in, ?array $finding, string $words) {
    $steps = [Demo::step('intake.take-in'), Demo::step('hand-over.give-back', after: [PathFact::HANDED_OVER])];
    $entries = [
        ...($in === null ? [] : [Demo::entry(1, EntryKind::Done, 'intake.take-in', 0, ['evidence' => $in])]),
        ...(
            $finding === null
                ? []
                : [
                    Demo::entry(2, EntryKind::Done, 'hand-over.give-back', 0, [
                        'evidence' => ['received_by' => 'the lounge', 'delete_by' => '12 March'],
                        'findings' => ['accessories_back' => $finding],
                    ]),
                ]
        ),
    ];
    $sheet = toldSheet(smallPlan([], $steps), $entries);
    expect($sheet->cameIn)->toBe($words)->and($sheet->receivedBy)->toBe($finding === null ? '' : 'the lounge')
        ->and($sheet->dates)->toBe(
            $finding === null ? [] : ['The copy of your files is deleted on 12 March. Look through yours before.'],
        );
})->with([
    [null, null, ''],
    [['condition' => ' éraflure, left. '], null, 'Éraflure, left. With it: nothing.'],
    [['condition' => ' A dent. ', 'accessories' => 'charger, sleeve. '], null, 'A dent. With it: charger, sleeve.'],
    [['condition' => 'Clean'], null, 'Clean. With it: nothing.'],
    [
        ['condition' => 'Clean', 'accessories' => 'charger'],
        ['verdict' => 'equal', 'words' => ''],
        'Clean. With it: charger. All of it goes back.',
    ],
    [
        ['condition' => 'Clean', 'accessories' => 'charger'],
        ['verdict' => 'differs', 'words' => 'charger missing'],
        'Clean. With it: charger. Not all of it goes back: charger missing.',
    ],
]);

it('tells until when an upgrade can be taken back, once it was done', function () {
    $plan = smallPlan(['goal' => 'upgrade'], [Demo::step('install.upgrade')], [], [
        'rollback' => ['step' => 'install.upgrade', 'days' => 10],
    ]);
    expect(toldSheet($plan, [])->dates)->toBe([])
        ->and(toldSheet($plan, [Demo::entry(1, EntryKind::Done, 'install.upgrade', 86400)], 86400 * 2)->dates[0])
        ->toContain('9 days from now')
        ->toEndWith(' Do not remove the old system\'s folder before.');
});

it('says for the first days only what applies', function (array $job, array $facts, array $words) {
    expect(toldSheet(smallPlan($job, [], $facts), [])->first)->toBe($words);
})->with([
    [[], [], []],
    [[], [PathFact::SYSTEM_INSTALLED], ['The first hours may be slow while the system sets itself up.']],
    [['goal' => 'media-only'], [PathFact::SYSTEM_INSTALLED], []],
    [
        [],
        [PathFact::FIRST_BOOT_DONE],
        ['You type the password yourself; nobody here has it. Keep it where only you find it.'],
    ],
    [
        [],
        [PathFact::putBack('old-drive')],
        ['Deleting is not secure erasure. Ask us before you pass the old drive on.'],
    ],
]);
