<?php

use Cobblestone\Quantity\SizeSeen;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceFault;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Walk;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\Demo;

it('compares what was written down with what is expected', function (
    EvidenceKind $kind,
    Expected $expected,
    string $value,
    string $verdict,
    string $words,
) {
    $wanted = new Evidence(
        'x',
        'X',
        $kind,
        ['a' => 'first', 'b' => 'second', 'c' => 'third'],
        expected: $expected,
        mayBeOpen: true,
    );
    $finding = EvidenceJudge::judge($wanted, $value, ['before' => ['n' => '6 × short']]);
    expect($finding->verdict->value)->toBe($verdict)->and($finding->words)->toBe($words);
})->with(function () {
    $of = fn (string $value, float $tolerance = 0.0) => new Expected($value, $tolerance);
    $drive = new Expected(
        '512110190592',
        source: Expected::READING,
        others: ['Tern 64, a stick' => 64023257088, 'the archive' => 2000398934016],
    );
    $twin = new Expected('512110190592', others: ['the backup drive' => 512110190592]);
    $least = new Expected('13500000000', atLeast: true);

    return [
        [EvidenceKind::Count, $of('11 840'), '11840', 'equal', 'as expected'],
        [EvidenceKind::Count, $of('100', 0.05), '95', 'within', '95 read, 100 expected (plan): 5 less'],
        [EvidenceKind::Count, $of('100', 0.05), '94', 'differs', '94 read, 100 expected (plan): 6 less'],
        [EvidenceKind::Count, $of('100'), '101', 'differs', '101 read, 100 expected (plan): 1 more'],
        [EvidenceKind::Count, new Expected('4', atLeast: true), '5', 'within', '5 read, 4 expected (plan): 1 more'],
        [EvidenceKind::Bytes, $of('1000'), '999', 'differs', '999 B read, 1 000 B expected (plan): 1 less'],
        [EvidenceKind::Percent, $of('100'), '99 %', 'differs', '99 % read, 100 % expected (plan): 1 less'],
        [EvidenceKind::Build, $of('7200'), '7 200', 'equal', 'as expected'],
        [EvidenceKind::Build, $of('7200'), '7100', 'differs', '7100 read, 7200 expected (plan): an older one'],
        [
            EvidenceKind::Build,
            new Expected('7200', atLeast: true),
            '17301',
            'within',
            '17301 read, 7200 expected (plan): a newer one',
        ],
        [EvidenceKind::Text, $of('1.14'), ' 1.14 ', 'equal', 'as expected'],
        [EvidenceKind::Text, $of('1.14'), '1.1', 'differs', '"1.1" read, "1.14" expected (plan)'],
        [EvidenceKind::Choice, $of('a'), 'a', 'equal', 'as expected'],
        [EvidenceKind::Choice, $of('a|c'), 'c', 'equal', 'as expected'],
        [EvidenceKind::Choice, $of('a|c'), 'b', 'differs', '"second" read, "first or third" expected (plan)'],
        [EvidenceKind::Tally, Expected::asIn('before', 'n'), 'short: 6', 'equal', 'as expected'],
        [EvidenceKind::Tally, Expected::asIn('before', 'n'), '5 short', 'differs', 'short: 5, not 6'],
        [EvidenceKind::Tally, Expected::asIn('before', 'n'), '6 long', 'differs', 'long: 6, not 0; short: 0, not 6'],
        [EvidenceKind::Tally, Expected::asIn('elsewhere', 'n'), '6 long', 'noted', ''],
        [EvidenceKind::Ticks, $of('charger, bag; adapter'), 'bag, charger, adapter', 'equal', 'all of it'],
        [EvidenceKind::Ticks, $of('charger, bag'), 'bag', 'differs', 'missing: charger'],
        [EvidenceKind::Ticks, $of('nothing'), 'nothing', 'equal', 'all of it'],
        [EvidenceKind::Serial, new Expected('SM3-2207-88415D', hidden: true), '415d', 'equal', 'as expected'],
        [
            EvidenceKind::Serial,
            new Expected('SM3-2207-88415D', hidden: true),
            '415E',
            'differs',
            'not the serial of this drive',
        ],
        [EvidenceKind::Size, $drive, '512110190592', 'equal', 'as expected'],
        [EvidenceKind::Size, $drive, '512 110 190 592 B', 'equal', 'as expected'],
        [EvidenceKind::Size, $least, '13500000001', 'within', 'as expected'],
        [EvidenceKind::Size, $drive, '512.1 GB', 'within', 'as expected'],
        [EvidenceKind::Size, $drive, '476.9 GiB', 'within', 'as expected'],
        [EvidenceKind::Size, $drive, '476.9 GB', 'within', 'as expected'],
        [EvidenceKind::Size, $drive, '476G', 'within', 'as expected'],
        [EvidenceKind::Size, $drive, '1.8 TiB', 'differs', 'it looks like the archive'],
        [EvidenceKind::Size, $drive, '64 GB', 'differs', 'it looks like Tern 64, a stick'],
        [EvidenceKind::Size, $drive, '470 GiB', 'differs', 'clearly less than 512.1 GB or 476.9 GiB'],
        [EvidenceKind::Size, $drive, '1 TB', 'differs', 'not 512.1 GB or 476.9 GiB'],
        [EvidenceKind::Size, $twin, '512 GB', 'differs', 'it could as well be the backup drive'],
        [EvidenceKind::Size, $least, '13.9 GB', 'within', 'as expected'],
        [EvidenceKind::Size, $least, '12.0 GB', 'differs', 'less than 13.5 GB or 12.6 GiB'],
        [EvidenceKind::Count, $of('4'), 'not read', 'not-read', ''],
    ];
});

it('takes a number for a number and says what each field wants', function (
    EvidenceKind $kind,
    string $value,
    ?string $fault,
) {
    expect(
        EvidenceFault::fault(
            new Evidence('x', 'X', $kind, ['a' => 'A'], least: $kind === EvidenceKind::Count ? 2 : null),
            $value,
        ),
    )->toBe($fault);
})->with([
    [EvidenceKind::Count, '12 000', null],
    [EvidenceKind::Count, 'ok', 'X: a whole number is wanted, "ok" is none.'],
    [EvidenceKind::Count, '1', 'X: at least 2 is needed, 1 is not enough yet.'],
    [EvidenceKind::Count, '-', 'X: a whole number is wanted, "-" is none.'],
    [EvidenceKind::Percent, '101', 'X: percent end at 100, 101 is more.'],
    [EvidenceKind::Percent, '100 %', null],
    [
        EvidenceKind::Tally,
        'all of them',
        'X: how many of which, such as "6 × short, 2 × long"; "all of them" has no count.',
    ],
    [EvidenceKind::Size, 'ok', 'X: a size with its unit, such as "476.9 GiB"; "ok" is none.'],
    [EvidenceKind::Size, '477 GiB', null],
    [EvidenceKind::Choice, 'b', 'X: choose one of A.'],
    [EvidenceKind::Text, '', 'Write down: X.'],
]);

it('reads a size for every figure it can stand for', function (string $text, int $bytes, bool $fits) {
    expect(SizeSeen::parse($text)?->canBe($bytes) ?? false)->toBe($fits);
})->with([
    ['64.0 GB', 64023257088, true],
    ['59.6 GiB', 64023257088, true],
    ['59.7 GiB', 64023257088, false],
    ['59,6 GiB', 64023257088, true],
    ['64 023 257 088', 64023257088, true],
    ['64023257087', 64023257088, false],
    ['60 GB', 64023257088, true],
    ['60 GiB', 64023257088, true],
    ['62 GB', 64023257088, false],
    ['0.06 TB', 64023257088, true],
    ['64.0', 64, false],
    ['big', 64, false],
]);

it('holds a stone with each difference named, until somebody who may has given a reason', function () {
    $step = Demo::step(
        'close',
        [],
        ['closed'],
        evidence: [
            new Evidence(
                'screws_in',
                'Screws put in',
                EvidenceKind::Tally,
                expected: Expected::asIn('open', 'screws_out'),
                overruledBy: ['lead'],
                remedy: 'Look in the tray.',
            ),
            new Evidence(
                'cores',
                'Cores',
                EvidenceKind::Count,
                expected: new Expected('8'),
                overruledBy: ['lead'],
                mayBeOpen: true,
            ),
        ],
    );
    $open = Demo::step('open', [], [], evidence: [new Evidence('screws_out', 'Screws', EvidenceKind::Tally)]);
    $walk = new Walk(
        Progress::of(Demo::planOf([$open, $step]), [
            new LogEntry(1, EntryKind::Done, 'open', 5, 'technician', ['evidence' => ['screws_out' => '6 × short']]),
        ]),
    );
    $given = ['screws_in' => '5 × short', 'cores' => 'not read'];
    try {
        $walk->done($step, $given, ['screws_in' => 'lost', 'cores' => 'no tool'], 'technician');
        $this->fail();
    } catch (Refused $e) {
        expect($e->fields)->toBe([
            'screws_in' => 'Screws put in: short: 5, not 6. Look in the tray. A lead may accept it, with a reason.',
            'cores' => 'Cores: not read. A lead may accept it, with a reason.',
        ]);
    }
    $kept = $walk->done($step, $given, ['screws_in' => 'lost', 'cores' => 'no tool'], 'lead');
    expect($kept['overruled'])
        ->toBe(['screws_in' => 'lost', 'cores' => 'no tool'])
        ->and($kept['findings']['screws_in'])
        ->toBe([
            'verdict' => 'differs',
            'expected' => '6 × short',
            'observed' => '5 × short',
            'words' => 'short: 5, not 6',
            'source' => 'earlier evidence',
        ])
        ->and($walk->done($step, ['screws_in' => '6 short', 'cores' => '8'])['findings']['cores']['verdict'])
        ->toBe('equal');
});

it('asks once of a stone laid in less than a third of its low estimate', function () {
    $step = Demo::step('copy', [], ['copied']);
    $walk = new Walk(
        Progress::of(Demo::planOf([$step]), [new LogEntry(1, EntryKind::Started, 'copy', 1000, 'technician')]),
    );
    expect(fn () => $walk->done($step, [], now: 1019))
        ->toThrow(Refused::class, '"Copy" took 19 s, and at least 1 min is usual. Was it done before the clock ran?')
        ->and($walk->done($step, [], now: 1019, beforeClock: true))
        ->toBe(['evidence' => [], 'before_clock' => true])
        ->and($walk->done($step, [], now: 1020))
        ->toBe(['evidence' => []])
        ->and($walk->done($step, [], now: 1020, beforeClock: true))
        ->toBe(['evidence' => []]);
    $unstarted = new Walk(
        Progress::of(Demo::planOf([$step]), [new LogEntry(1, EntryKind::Created, null, 1000, 'technician')]),
    );
    expect(fn () => $unstarted->done($step, [], now: 1005))->toThrow(Refused::class, 'before the clock ran');
});

it('keeps of a serial only whether it was the right one', function () {
    $step = Demo::step(
        'find',
        evidence: [
            new Evidence('serial', 'Serial', EvidenceKind::Serial, expected: new Expected('SER-77aB', hidden: true)),
        ],
    );
    $walk = new Walk(Progress::of(Demo::planOf([$step]), []));
    expect($walk->done($step, ['serial' => '77AB'])['evidence'])
        ->toBe(['serial' => 'as expected'])
        ->and(fn () => $walk->done($step, ['serial' => '77AC'], ['serial' => 'it is'], 'lead'))
        ->toThrow(Refused::class, 'not the serial of this drive. Nobody may accept this.');
});

it('leaves what is behind a left out stone unlaid', function () {
    $walked = array_column(WalkThrough::of(Demo::plan('fairlead-13'), ['protect.check-backup']), null, 'id');
    expect($walked['protect.check-backup'])
        ->toBe(['id' => 'protect.check-backup', 'one_way' => false, 'laid' => false, 'refused' => null])
        ->and($walked['target.erase']['laid'])
        ->toBeFalse()
        ->and($walked['target.erase']['one_way'])
        ->toBeTrue()
        ->and($walked['target.erase']['refused'])
        ->toContain('the backup is verified or waived in writing')
        ->and($walked['image.check']['laid'])
        ->toBeTrue();
});
