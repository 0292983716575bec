<?php

use Cobblestone\Document\Fields;
use Cobblestone\Handover\EvidenceWords;
use Cobblestone\Handover\FilesWords;
use Cobblestone\Handover\HandoverSheet;
use Cobblestone\Handover\IntroWords;
use Cobblestone\Handover\SheetLine;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\PlannedJob;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/**
 * @param  array<string, mixed>  $job
 * @param  list<Step>  $steps
 * @param  list<string>  $initial
 * @param  array<string, mixed>  $assessment
 */
function smallPlan(array $job, array $steps, array $initial = [], array $assessment = []): Plan
{
    return new Plan(PlannedJob::read(Fields::of(['title' => 'Test', 'goal' => 'clean-install', 'machine' => 'Norrel Fairlead 13', 'owner' => 'the lounge', 'kind' => 'laptop', 'system' => 'Tansy Desktop 7', 'edition' => 'Dock', ...$job])), [], [], [], $steps, [], $initial, [], [], [], [], $assessment);
}

/**
 * @param  list<LogEntry>  $entries
 */
function toldSheet(Plan $plan, array $entries, int $now = 0): HandoverSheet
{
    return HandoverSheet::of(Progress::of($plan, $entries), $entries, 'UTC', $now);
}

it('says what was written down as a person reads it', function (EvidenceKind $kind, string $value, string $words) {
    expect(EvidenceWords::of(new Evidence('e', 'Seen', $kind, ['a' => 'first choice']), $value))->toBe("Seen: {$words}");
})->with([
    [EvidenceKind::Bytes, '11 840', '11.8 kB'], [EvidenceKind::Bytes, '11_840 000', '11.8 MB'], [EvidenceKind::Size, '256060514304', '256.1 GB'], [EvidenceKind::Size, "256\u{a0}060 514 304", '256.1 GB'],
    [EvidenceKind::Size, '238.5 GiB', '238.5 GiB'], [EvidenceKind::Bytes, '1234567890123456789', '1234567890123456789'], [EvidenceKind::Bytes, '123456789012345678', '123.5 PB'],
    [EvidenceKind::Percent, '80', '80 %'], [EvidenceKind::Percent, '80 %', '80 %'], [EvidenceKind::Percent, 'full', 'full'],
    [EvidenceKind::Count, '11840', '11 840'], [EvidenceKind::Count, '0', '0'], [EvidenceKind::Count, 'many', 'many'],
    [EvidenceKind::Choice, 'a', 'first choice'], [EvidenceKind::Choice, 'b', 'b'], [EvidenceKind::Text, '11840', '11840'], [EvidenceKind::Text, 'as it was', 'as it was'],
]);

it('says of files what became of them', function (array $job, array $steps, array $initial, array $assessment, array $lay, ?string $words) {
    $entries = array_map(fn (string $id): LogEntry => str_starts_with($id, '!') ? Demo::entry(9, EntryKind::Waived, 'target.erase', 0, ['gate' => 'backup', 'words' => 'Backup']) : Demo::entry(1, EntryKind::Done, $id), $lay);
    $plan = smallPlan($job, $steps, $initial, $assessment);
    expect(array_map(fn (SheetLine $line) => $line->words, FilesWords::of(Progress::of($plan, $entries), [])))->toBe($words === null ? [] : [$words]);
})->with(function () {
    $gate = new Gate('backup', 'protect.backup', 'Backup', 'protect.check-backup', ['lead'], ['protect.back-up', 'protect.check-backup']);
    $copy = [Demo::step('protect.back-up'), Demo::step('protect.check-backup', [], ['protect.backup']), Demo::step('target.erase', [], [], gates: [$gate])];

    return [
        'a stick has none' => [['goal' => 'media-only'], [], [], ['backup' => ['keep' => 'nothing']], [], null],
        'a blank drive has none' => [[], [], [PathFact::OWNER_AGREED], ['backup' => ['keep' => 'blank']], [], null],
        'a copy that is to come' => [[], $copy, [], ['backup' => ['keep' => 'some']], [], 'Not copied yet.'],
        'a copy that was waived' => [[], $copy, [], ['backup' => ['keep' => 'some']], ['!'], 'No proven copy was made; see what was waived.'],
        'a copy in an earlier path, now handed over' => [[], $copy, [PathFact::HANDED_OVER], ['backup' => ['keep' => 'some']], [], null],
        'a drive that is out' => [['goal' => 'drive-swap'], [], [PathFact::PART_FITTED], [], [], 'They are on your old drive, which was not erased.'],
        'a drive that is to come out' => [['goal' => 'drive-swap'], [], [], [], [], null],
        'nothing kept, and said so' => [[], [], [PathFact::OWNER_AGREED], ['backup' => ['keep' => 'nothing']], [], 'You wanted nothing kept; no copy was made.'],
        'nothing kept, not said yet' => [[], [], [], ['backup' => ['keep' => 'nothing']], [], null],
        'a system that stays' => [['goal' => 'firmware-update'], [], [], [], [], 'They stayed where they are; no copy was made for this work.'],
        'a revived machine' => [['goal' => 'cable-restore'], [Demo::step('install.revive')], [], [], [], 'They stayed where they are; no copy was made for this work.'],
        'a restored machine' => [['goal' => 'cable-restore'], [Demo::step('install.restore')], [], [], [], null],
        'an erased machine of which nothing is known' => [[], [], [], [], [], null],
    ];
});

it('adds what was not copied to what was', function (array $not, array $words) {
    $lines = FilesWords::of(Progress::of(smallPlan([], [], [], ['backup' => ['not_covered' => $not]]), []), [new SheetLine('Copied: 11 840 files.')]);
    expect(array_map(fn (SheetLine $line) => $line->words, $lines))->toBe($words);
})->with([[[], ['Copied: 11 840 files.']], [['Games', 'Vault'], ['Copied: 11 840 files.', 'Not copied: Games; Vault.']]]);

it('begins with what it is and what it was here for', function (array $job, array $initial, array $steps, string $words) {
    expect(IntroWords::of(Progress::of(smallPlan($job, $steps, $initial), [])))->toBe($words);
})->with([
    [['goal' => 'media-only', 'stick' => 'S4', 'image' => 'Tansy Desktop 7.2', 'kind' => 'any'], [PathFact::STICK_PROVEN], [], 'A stick, S4, with Tansy Desktop 7.2 for any machine that it fits, made for the lounge.'],
    [['goal' => 'media-only'], [], [], 'A stick that is to be made with Tansy Desktop 7 Dock for a Norrel Fairlead 13, made for the lounge.'],
    [[], [PathFact::SYSTEM_INSTALLED], [], 'Norrel Fairlead 13, for the lounge. It now carries Tansy Desktop 7 Dock, installed fresh.'],
    [['edition' => null], [], [], 'Norrel Fairlead 13, for the lounge. It is to carry Tansy Desktop 7, installed fresh.'],
    [['goal' => 'drive-swap'], [PathFact::SYSTEM_INSTALLED], [], 'Norrel Fairlead 13, for the lounge. It now carries Tansy Desktop 7 Dock, installed fresh on a new drive.'],
    [['goal' => 'first-power-on', 'system' => null, 'edition' => null], [], [], 'Norrel Fairlead 13, for the lounge. It is a new build. It is to carry a system.'],
    [['goal' => 'factory-restore'], [PathFact::SYSTEM_INSTALLED], [], 'Norrel Fairlead 13, for the lounge. It now carries Tansy Desktop 7 Dock, as its maker delivered it.'],
    [['goal' => 'cable-restore'], [PathFact::SYSTEM_INSTALLED], [], 'Norrel Fairlead 13, for the lounge. It now carries Tansy Desktop 7 Dock, restored over a cable.'],
    [['goal' => 'cable-restore'], [], [Demo::step('install.revive')], 'Norrel Fairlead 13, for the lounge. It was here to be revived over a cable; your data was meant to stay.'],
    [['goal' => 'firmware-update'], [], [], 'Norrel Fairlead 13, for the lounge. It was here to have its firmware updated; programs and files were not touched.'],
    [['goal' => 'card-swap'], [], [], 'Norrel Fairlead 13, for the lounge. It was here to get another graphics card; programs and files were meant to stay.'],
    [['goal' => 'repair'], [], [], 'Norrel Fairlead 13, for the lounge. It was here to be repaired in place.'],
    [['goal' => 'upgrade'], [], [], 'Norrel Fairlead 13, for the lounge. It was here to be upgraded to Tansy Desktop 7 Dock; programs and files were meant to stay.'],
]);

it('names six stones that are owed, and counts the rest', function (int $stones, string $words) {
    $steps = array_map(fn (int $n) => Demo::step("s{$n}"), range(1, $stones));
    expect(toldSheet(smallPlan([], $steps), [])->owed)->toBe([$words]);
})->with([[6, 'Still to be done: S1, S2, S3, S4, S5, S6.'], [7, 'Still to be done: S1, S2, S3, S4, S5, S6 and 1 more.'], [9, 'Still to be done: S1, S2, S3, S4, S5, S6 and 3 more.']]);

it('owes what is open of what was changed: putting back, or a signature', function () {
    $steps = [Demo::step('a', opens: [new PutBack('boot', 'Secure Boot off', 'for the stick', 'b', false), new PutBack('fan', 'Fan curve', 'quieter', 'put-back.sign', true)]), Demo::step('b', ['never'])];
    expect(toldSheet(smallPlan([], $steps), [Demo::entry(1, EntryKind::Done, 'a')])->owed)->toBe(['Still to be done: B.', 'To be put back: Secure Boot off.', 'To be signed: Fan curve.']);
});

it('tells what was done in the order in which it was done, with what proves it', function () {
    $serial = new Evidence('serial', 'Serial', EvidenceKind::Serial);
    $steps = [
        Demo::step('a', done: DoneWords::of('A was done', 'serial', 'left'), evidence: [$serial, new Evidence('left', 'Left', EvidenceKind::Text), new Evidence('other', 'Other', EvidenceKind::Text)]),
        Demo::step('b', done: DoneWords::in(SheetPart::Drivers, 'B came')), Demo::step('c', done: DoneWords::of('C was done')), Demo::step('d'),
    ];
    $entries = [
        Demo::entry(1, EntryKind::Done, 'c', 50), Demo::entry(2, EntryKind::Done, 'd', 60), Demo::entry(3, EntryKind::Done, 'a', 70, ['evidence' => ['serial' => 'SM3-1', 'left' => '', 'other' => 'x']]), Demo::entry(4, EntryKind::Done, 'b', 70),
    ];
    $sheet = toldSheet(smallPlan([], $steps), $entries)->toArray();
    expect($sheet['done'])->toBe([['words' => 'C was done', 'at' => 50, 'proof' => []], ['words' => 'A was done', 'at' => 70, 'proof' => ['Serial: SM3-1']]])
        ->and($sheet['parts'])->toBe(['Drivers' => [['words' => 'B came', 'at' => 70, 'proof' => []]]]);
    // At the same second the log's own order decides.
    $steps = [Demo::step('a', done: DoneWords::of('A')), Demo::step('b', done: DoneWords::of('B'))];
    $done = array_column(toldSheet(smallPlan([], $steps), [Demo::entry(1, EntryKind::Done, 'b', 5), Demo::entry(2, EntryKind::Done, 'a', 5)])->toArray()['done'], 'words');
    expect($done)->toBe(['B', 'A']);
});

it('tells a waiver in its gate\'s words, and an older one by the title its gate has', function () {
    $steps = [Demo::step('a', gates: [new Gate('first', 'f', 'The first gate', ''), new Gate('second', 's', 'The second gate', '')])];
    $entries = [
        new LogEntry(1, EntryKind::Waived, 'a', 0, 'lead', ['gate' => 'second', 'agreed_by' => 'the lounge', 'text' => 'on paper']),
        new LogEntry(2, EntryKind::Waived, 'a', 0, 'lead', ['gate' => 'first', 'words' => 'as it stood then']), new LogEntry(3, EntryKind::Waived, 'a', 0, 'lead', ['gate' => 'gone']),
        new LogEntry(4, EntryKind::Note, 'a', 0, 'lead', ['gate' => 'first']),
    ];
    expect(toldSheet(smallPlan([], $steps), $entries)->waived)->toBe([
        ['what' => 'The second gate', 'agreed_by' => 'the lounge', 'role' => 'lead', 'text' => 'on paper'],
        ['what' => 'as it stood then', 'agreed_by' => '', 'role' => 'lead', 'text' => ''], ['what' => 'gone', 'agreed_by' => '', 'role' => 'lead', 'text' => ''],
    ]);
});

it('tells what was left unread and accepted as not read', function () {
    $steps = [Demo::step('a', evidence: [new Evidence('x', 'X', EvidenceKind::Text), new Evidence('y', 'Y', EvidenceKind::Text), new Evidence('z', 'Z', EvidenceKind::Text)])];
    $data = ['findings' => ['x' => ['verdict' => 'not-read', 'words' => 'nothing'], 'y' => ['verdict' => 'differs', 'words' => '3, not 4']], 'overruled' => ['x' => 'no window', 'y' => 'lost']];
    expect(toldSheet(smallPlan([], $steps), [Demo::entry(1, EntryKind::Done, 'a', 0, $data)])->accepted)->toBe([
        ['what' => 'X', 'words' => 'not read', 'reason' => 'no window', 'role' => 'technician'], ['what' => 'Y', 'words' => '3, not 4', 'reason' => 'lost', 'role' => 'technician'],
    ]);
});

it('tells what stays other than it was, signed or not', function (array $laid, array $stays) {
    $steps = [
        Demo::step('a', opens: [new PutBack('fan', 'Fan curve', 'Quieter.', 'put-back.sign', true), new PutBack('boot', 'Secure Boot', 'x', 'b', false)],
            rows: [['where' => 'Boot order', 'becomes' => 'drive first', 'put back' => 'stays'], ['where' => 'Secure Boot', 'becomes' => 'off', 'put back' => 'later'], ['where' => 'No value', 'put back' => 'stays']]),
        Demo::step('put-back.sign', evidence: [new Evidence('signed_by', 'By', EvidenceKind::Text)]),
    ];
    $entries = array_map(fn (string $id): LogEntry => Demo::entry($id === 'a' ? 1 : 2, EntryKind::Done, $id, 0, $id === 'a' ? [] : ['evidence' => ['signed_by' => 'the lounge']]), $laid);
    expect(toldSheet(smallPlan([], $steps), $entries)->stays)->toBe($stays);
})->with([
    [[], []], [['a'], ['Fan curve stays like this on purpose. Quieter. To be signed.', 'Boot order is now "drive first".']],
    [['a', 'put-back.sign'], ['Fan curve stays like this on purpose. Quieter. Signed: the lounge.', 'Boot order is now "drive first".']],
]);

it('tells how it came in and what goes back', function (?array $in, ?array $finding, string $words) {
    $steps = [Demo::step('intake.take-in'), Demo::step('hand-over.give-back', after: [PathFact::HANDED_OVER])];
    $entries = [
        ...($in === null ? [] : [Demo::entry(1, EntryKind::Done, 'intake.take-in', 0, ['evidence' => $in])]),
        ...($finding === null ? [] : [Demo::entry(2, EntryKind::Done, 'hand-over.give-back', 0, ['evidence' => ['received_by' => 'the lounge', 'delete_by' => '12 March'], 'findings' => ['accessories_back' => $finding]])]),
    ];
    $sheet = toldSheet(smallPlan([], $steps), $entries);
    expect($sheet->cameIn)->toBe($words)->and($sheet->receivedBy)->toBe($finding === null ? '' : 'the lounge')
        ->and($sheet->dates)->toBe($finding === null ? [] : ['The copy of your files is deleted on 12 March. Look through yours before.']);
})->with([
    [null, null, ''], [['condition' => ' éraflure, left. '], null, 'Éraflure, left. With it: nothing.'], [['condition' => ' A dent. ', 'accessories' => 'charger, sleeve. '], null, 'A dent. With it: charger, sleeve.'], [['condition' => 'Clean'], null, 'Clean. With it: nothing.'],
    [['condition' => 'Clean', 'accessories' => 'charger'], ['verdict' => 'equal', 'words' => ''], 'Clean. With it: charger. All of it goes back.'],
    [['condition' => 'Clean', 'accessories' => 'charger'], ['verdict' => 'differs', 'words' => 'charger missing'], 'Clean. With it: charger. Not all of it goes back: charger missing.'],
]);

it('tells until when an upgrade can be taken back, once it was done', function () {
    $plan = smallPlan(['goal' => 'upgrade'], [Demo::step('install.upgrade')], [], ['rollback' => ['step' => 'install.upgrade', 'days' => 10]]);
    expect(toldSheet($plan, [])->dates)->toBe([])
        ->and(toldSheet($plan, [Demo::entry(1, EntryKind::Done, 'install.upgrade', 86400)], 86400 * 2)->dates[0])->toContain('9 days from now')->toEndWith(' Do not remove the old system\'s folder before.');
});

it('says for the first days only what applies', function (array $job, array $facts, array $words) {
    expect(toldSheet(smallPlan($job, [], $facts), [])->first)->toBe($words);
})->with([
    [[], [], []], [[], [PathFact::SYSTEM_INSTALLED], ['The first hours may be slow while the system sets itself up.']], [['goal' => 'media-only'], [PathFact::SYSTEM_INSTALLED], []],
    [[], [PathFact::FIRST_BOOT_DONE], ['You type the password yourself; nobody here has it. Keep it where only you find it.']],
    [[], [PathFact::putBack('old-drive')], ['Deleting is not secure erasure. Ask us before you pass the old drive on.']],
]);
