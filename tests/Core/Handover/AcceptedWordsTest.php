<?php

use Cobblestone\Handover\AcceptedWords;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\EntryKind;
use Tests\Support\Demo;

it('counts what was compared beside what the sheet lists', function (array $verdicts, string $words) {
    $findings = ['cores' => ['verdict' => 'equal']];
    foreach ($verdicts as $at => $verdict) {
        $findings["row-{$at}"] = ['verdict' => $verdict];
    }
    $step = Demo::step('proof.readings', done: DoneWords::of('Read', 'cores'));
    $entry = Demo::entry(1, EntryKind::Done, 'proof.readings', data: ['findings' => $findings]);
    expect(AcceptedWords::of($step, $entry))->toBe($words);
})->with([
    [['equal', 'within', 'equal'], '3 more readings compared: all as expected'],
    [
        ['equal', 'differs', 'not-read', 'not-read'],
        '4 more readings compared: 1 as expected, 1 accepted as they are, 2 not read',
    ],
    [['differs', 'differs', 'within'], '3 more readings compared: 1 as expected, 2 accepted as they are'],
    [['equal', 'equal'], ''],
    [[], ''],
]);

it('says nothing of a stone that is not laid', function () {
    expect(AcceptedWords::of(Demo::step('proof.readings'), null))->toBe('');
});
