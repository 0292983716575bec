<?php

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Tuning\Proof\AcceptanceRow;
use Cobblestone\Tuning\Proof\AcceptanceTable;
use Cobblestone\Tuning\Proof\Observation;

/** @return list<Evidence> */
function fourRows(): array
{
    return [
        new Evidence('cores', 'Cores', EvidenceKind::Count, expected: new Expected('8'), mayBeOpen: true),
        new Evidence(
            'drive',
            'Drive',
            EvidenceKind::Size,
            expected: new Expected('512110190592', source: Expected::READING),
            remedy: 'Look at its cable.',
            mayBeOpen: true,
        ),
        new Evidence(
            'sound',
            'Sound',
            EvidenceKind::Choice,
            ['works' => 'works', 'fails' => 'does not work', 'none' => 'it has none'],
            expected: new Expected('works|none'),
            mayBeOpen: true,
        ),
        new Evidence('rate', 'Rate', EvidenceKind::Rate, expected: new Expected('6000 MT/s', 0.01), mayBeOpen: true),
    ];
}

it('judges each row by itself and leaves open what nobody has read', function (array $seen, array $verdicts) {
    $table = AcceptanceTable::of(fourRows(), array_map(fn (string $one) => new Observation($one, 'x'), $seen));
    expect(array_map(fn (AcceptanceRow $row) => $row->verdict(), $table->rows))->toBe($verdicts)
        ->and(array_sum($table->counts()))->toBe(4)
        ->and($table->isSettled())->toBe(array_diff($verdicts, ['equal', 'within']) === []);
})->with([
    [[], ['open', 'open', 'open', 'open']],
    [['cores' => '8', 'drive' => '512.1 GB', 'sound' => 'none', 'rate' => '3000 MHz'], ['equal', 'within', 'equal',
        'within']],
    [['cores' => '4', 'drive' => '0', 'sound' => 'fails', 'rate' => '3000 MT/s'], ['differs', 'differs', 'differs',
        'differs']],
    [['cores' => 'not read', 'drive' => '512110190592'], ['open', 'equal', 'open', 'open']],
]);

it('says each row in words', function () {
    $table = AcceptanceTable::of(fourRows(), [
        'drive' => new Observation('0', 'lsblk', 'no drive of this serial'),
        'sound' => new Observation('works', 'evening technician'),
    ]);
    [$cores, $drive, $sound, $rate] = array_map(fn (AcceptanceRow $row) => $row->toArray(), $table->rows);
    expect($cores)->toBe([
        'row' => 'cores',
        'label' => 'Cores',
        'expected' => '8',
        'expected_words' => '8',
        'tolerance' => 'exact',
        'observed' => null,
        'observed_words' => '',
        'verdict' => 'open',
        'source' => 'plan',
        'read_by' => '',
        'remedy' => '',
    ])
        ->and($drive['expected_words'])->toBe('512.1 GB (476.9 GiB)')
        ->and($drive['observed_words'])->toBe('no drive of this serial')
        ->and($drive['remedy'])->toBe('Clearly less than 512.1 GB or 476.9 GiB. Look at its cable.')
        ->and($drive['source'])->toBe('reading')
        ->and($sound['expected_words'])->toBe('works or it has none')
        ->and($sound['tolerance'])->toBe('one of them')
        ->and($sound['observed_words'])->toBe('works')
        ->and($sound['read_by'])->toBe('evening technician')
        ->and($rate['tolerance'])->toBe('± 1 %')
        ->and($table->with('differs')[0]->evidence->id)->toBe('drive')
        ->and($table->counts())->toBe(['equal' => 1, 'within' => 0, 'differs' => 1, 'open' => 2]);
});

it('says bytes in words beside what was typed, and nothing twice', function (array $seen, array $beside) {
    $table = AcceptanceTable::of(fourRows(), $seen);
    expect(array_map(fn (AcceptanceRow $row) => $row->observedBeside(), $table->rows))->toBe($beside)
        ->and(array_map(fn (AcceptanceRow $row) => $row->toldBy(), $table->rows))
        ->toBe(array_map(fn (string $row) => isset($seen[$row]) ? 'lsblk' : '', ['cores', 'drive', 'sound', 'rate']));
})->with([
    [[], ['', '', '', '']],
    [['drive' => new Observation('256060514304', 'lsblk')], ['', '256.1 GB (238.5 GiB)', '', '']],
    // As it was typed it is readable already.
    [['drive' => new Observation('256 GB', 'lsblk')], ['', '', '', '']],
    // The difference says it.
    [['sound' => new Observation('fails', 'lsblk'), 'cores' => new Observation('4', 'lsblk')], ['', '', '', '']],
    [['drive' => new Observation('0', 'lsblk', 'no drive of this serial')], ['', 'no drive of this serial', '', '']],
]);
