<?php

use Cobblestone\Handover\EvidenceWords;
use Cobblestone\Handover\FilesWords;
use Cobblestone\Handover\SheetLine;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;
use Tests\Support\Demo;

it('says what was written down as a person reads it', function (EvidenceKind $kind, string $value, string $words) {
    expect(EvidenceWords::of(new Evidence('e', 'Seen', $kind, ['a' => 'first choice']), $value))
        ->toBe("Seen: {$words}");
})->with([
    [EvidenceKind::Bytes, '11 840', '11.8 kB'],
    [EvidenceKind::Bytes, '11_840 000', '11.8 MB'],
    [EvidenceKind::Size, '256060514304', '256.1 GB'],
    [EvidenceKind::Size, "256\u{a0}060 514 304", '256.1 GB'],
    [EvidenceKind::Size, '238.5 GiB', '238.5 GiB'],
    [EvidenceKind::Bytes, '1234567890123456789', '1234567890123456789'],
    [EvidenceKind::Bytes, '123456789012345678', '123.5 PB'],
    [EvidenceKind::Percent, '80', '80 %'],
    [EvidenceKind::Percent, '80 %', '80 %'],
    [EvidenceKind::Percent, 'full', 'full'],
    [EvidenceKind::Count, '11840', '11 840'], [EvidenceKind::Count, '0', '0'], [EvidenceKind::Count, 'many', 'many'],
    [EvidenceKind::Choice, 'a', 'first choice'],
    [EvidenceKind::Choice, 'b', 'b'],
    [EvidenceKind::Text, '11840', '11840'],
    [EvidenceKind::Text, 'as it was', 'as it was'],
]);

it('says of files what became of them', function (
    array $job,
    array $steps,
    array $initial,
    array $assessment,
    array $lay,
    ?string $words,
) {
    $entries = array_map(
        fn (string $id): LogEntry => str_starts_with($id, '!')
            ? Demo::entry(9, EntryKind::Waived, 'target.erase', 0, ['gate' => 'backup', 'words' => 'Backup'])
            : Demo::entry(1, EntryKind::Done, $id),
        $lay,
    );
    $plan = smallPlan($job, $steps, $initial, $assessment);
    expect(array_map(fn (SheetLine $line) => $line->words, FilesWords::of(Progress::of($plan, $entries), [])))
        ->toBe($words === null ? [] : [$words]);
})->with(function () {
    $gate = new Gate('backup', 'protect.backup', 'Backup', 'protect.check-backup', ['lead'], [
        'protect.back-up',
        'protect.check-backup',
    ]);
    $copy = [
        Demo::step('protect.back-up'),
        Demo::step('protect.check-backup', [], ['protect.backup']),
        Demo::step('target.erase', [], [], gates: [$gate]),
    ];

    return [
        'a stick has none' => [['goal' => 'media-only'], [], [], ['backup' => ['keep' => 'nothing']], [], null],
        'a blank drive has none' => [[], [], [PathFact::OWNER_AGREED], ['backup' => ['keep' => 'blank']], [], null],
        'a copy that is to come' => [[], $copy, [], ['backup' => ['keep' => 'some']], [], 'Not copied yet.'],
        'a copy that was waived' => [
            [],
            $copy,
            [],
            ['backup' => ['keep' => 'some']],
            ['!'],
            'No proven copy was made; see what was waived.',
        ],
        'a copy in an earlier path, now handed over' => [
            [],
            $copy,
            [PathFact::HANDED_OVER],
            ['backup' => ['keep' => 'some']],
            [],
            null,
        ],
        'a drive that is out' => [
            ['goal' => 'drive-swap'],
            [],
            [PathFact::PART_FITTED],
            [],
            [],
            'They are on your old drive, which was not erased.',
        ],
        'a drive that is to come out' => [['goal' => 'drive-swap'], [], [], [], [], null],
        'nothing kept, and said so' => [
            [],
            [],
            [PathFact::OWNER_AGREED],
            ['backup' => ['keep' => 'nothing']],
            [],
            'You wanted nothing kept; no copy was made.',
        ],
        'nothing kept, not said yet' => [[], [], [], ['backup' => ['keep' => 'nothing']], [], null],
        'a system that stays' => [
            ['goal' => 'firmware-update'],
            [],
            [],
            [],
            [],
            'They stayed where they are; no copy was made for this work.',
        ],
        'a revived machine' => [
            ['goal' => 'cable-restore'],
            [Demo::step('install.revive')],
            [],
            [],
            [],
            'They stayed where they are; no copy was made for this work.',
        ],
        'a restored machine' => [['goal' => 'cable-restore'], [Demo::step('install.restore')], [], [], [], null],
        'an erased machine of which nothing is known' => [[], [], [], [], [], null],
    ];
});

it('adds what was not copied to what was', function (array $not, array $words) {
    $lines = FilesWords::of(
        Progress::of(smallPlan([], [], [], ['backup' => ['keep' => 'some', 'not_covered' => $not]]), []),
        [new SheetLine('Copied: 11 840 files.')],
    );
    expect(array_map(fn (SheetLine $line) => $line->words, $lines))->toBe($words);
})->with([
    [[], ['Copied: 11 840 files.']],
    [['Games', 'Vault'], ['Copied: 11 840 files.', 'Not copied: Games; Vault.']],
]);
