<?php

use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Finding;
use Cobblestone\Runbook\FindingVerdict;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\GateKind;
use Cobblestone\Runbook\JobState;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Shut;
use Tests\Support\Demo;

it('says why a stone is refused, and what to do', function (Refused $refused, string $words, string $field) {
    expect([$refused->getMessage(), $refused->field])->toBe([$words, $field]);
})->with(function () {
    $step = Demo::step('erase');
    $shut = [
        Shut::by(
            new Gate('g', 'f', 'too hot.', '', kind: GateKind::Stop, door: Door::reading('lsblk', 'Read it again.')),
        ),
        Shut::behind(Demo::step('look')),
    ];
    $open = fn (int $n) => array_map(fn (int $i) => Demo::step("s{$i}"), range(1, $n));

    return [
        [
            Refused::unknownStep('x'),
            'The path has no step "x" any more. Open the job again to see its present path.',
            'step',
        ],
        [
            Refused::notReady($step, ['intake.taken-in', 'x.y']),
            '"Erase" cannot start yet: first '.
            Cobblestone\Runbook\PathFact::spoken('intake.taken-in').
            ', and '.
            Cobblestone\Runbook\PathFact::spoken('x.y').
            '. You can read it ahead.',
            'step',
        ],
        [
            Refused::shut($step, $shut),
            '"Erase" is shut. Stop: too hot. Read it again. Hold: "Look" comes before it and is shut. Lay "Look" '
                .'first. You can read it ahead.',
            'step',
        ],
        [Refused::stillOpen($step, $open(1)), '"Erase" comes last: "S1" is still open.', 'step'],
        [Refused::stillOpen($step, $open(3)), '"Erase" comes last: "S1", "S2", "S3" are still open.', 'step'],
        [
            Refused::stillOpen($step, $open(5)),
            '"Erase" comes last: "S1", "S2", "S3" and 2 more are still open.',
            'step',
        ],
        [
            Refused::notWaivable(new Gate('g', 'f', 'Too hot.', '', door: Door::none('Give it back.'))),
            'This cannot be waived by anybody: Too hot. Give it back.',
            'text',
        ],
        [Refused::alreadyDone($step), '"Erase" is already done. Note what happened since with a note.', 'step'],
        [Refused::notConfirmed($step), '"Erase" cannot be undone. Confirm it in its strip first.', 'serial'],
        [
            Refused::inTrouble($step),
            '"Erase" has a problem open. Choose "try again" when you start over, then it can be done.',
            'step',
        ],
        [
            Refused::tooQuick($step, 7),
            '"Erase" took 7 s, and at least 1 min is usual. Was it done before the clock ran?',
            'before_clock',
        ],
        [
            Refused::tooLate(),
            'A done can be taken back for 10 seconds. Write a note saying what was different; the log keeps both.',
            'step',
        ],
        [Refused::role('waive this', 'a lead'), 'Only a lead may waive this.', 'role'],
        [Refused::evidence('files', 'Too few.'), 'Too few.', 'files'],
    ];
});

it('names each difference with who may accept it', function () {
    $none = new Finding(
        new Evidence('a', 'Files', 'count', remedy: 'Count again.'),
        FindingVerdict::Differs,
        '1',
        '2',
        '1 fewer',
    );
    $two = new Finding(
        new Evidence('b', 'Screws', 'tally', overruledBy: ['technician', 'lead']),
        FindingVerdict::NotRead,
        '',
        '2',
    );
    $refused = Refused::differs([$none, $two]);
    expect($refused->fields)
        ->toBe([
            'a' => 'Files: 1 fewer. Count again. Nobody may accept this.',
            'b' => 'Screws: not read. A technician or a lead may accept it, with a reason.',
        ])
        ->and($refused->field)
        ->toBe('a')
        ->and($refused->getMessage())
        ->toBe(implode(' ', $refused->fields))
        ->and($refused->quick)
        ->toBeFalse()
        ->and(Refused::tooQuick(Demo::step('a'), 1)->quick)
        ->toBeTrue();
});

it('knows whom a job waits for and since when', function () {
    $of = fn (array ...$entries) => JobState::of(
        array_map(
            fn (array $one, int $i) => Demo::entry($i + 1, $one[0], null, $one[1], $one[2] ?? []),
            $entries,
            array_keys($entries),
        ),
    );
    $wait = [EntryKind::Waiting, 5, ['for' => 'part', 'remind' => 9, 'text' => 'a fan']];
    expect($of()->waiting)
        ->toBeNull()
        ->and($of()->rollbackLost)
        ->toBeFalse()
        ->and($of()->remindedUntil)
        ->toBe(0)
        ->and($of($wait)->waiting)
        ->toBe(['for' => 'part', 'since' => 5, 'remind' => 9, 'text' => 'a fan'])
        ->and($of([EntryKind::Waiting, 6])->waiting)
        ->toBe(['for' => '', 'since' => 6, 'remind' => null, 'text' => ''])
        ->and($of($wait, [EntryKind::Resumed, 6])->waiting)
        ->toBeNull()
        ->and($of([EntryKind::RollbackLost, 6])->rollbackLost)
        ->toBeTrue()
        ->and($of([EntryKind::Reminded, 6], [EntryKind::Reminded, 8])->remindedUntil)
        ->toBe(8);
});

it('speaks of a fact by what it stands for', function (string $fact, string $words) {
    expect(Cobblestone\Runbook\PathFact::spoken($fact))->toBe($words);
})->with([
    ['driver.ostler-c8', 'driver package ostler-c8 is installed'],
    ['my.driver.', 'my driver '],
    ['answered.rehearsal-x', 'the failure that the rehearsal predicts is settled or overruled'],
    ['x.answered.rehearsal-', 'x answered rehearsal '],
    ['cleared.hot', 'what stops it is settled'],
    ['not.cleared.', 'not cleared '],
    ['answered.owner.keep', 'an open question of this job is answered'],
    ['put-back.secure-boot', 'put back: secure boot'],
    ['x.put-back.', 'x put back '],
    ['hardware.looked-over', 'hardware looked over'],
]);
