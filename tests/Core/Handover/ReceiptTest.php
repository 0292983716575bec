<?php

use Cobblestone\Handover\Receipt;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Progress;
use Tests\Support\Demo;

function receiptOf(array ...$entries): ?Receipt
{
    return Receipt::of(Progress::of(Demo::plan('fairlead-13'), array_map(
        static fn (array $one, int $i) => Demo::entry($i + 1, EntryKind::Done, $one[0], $one[1], $one[2]),
        $entries,
        array_keys($entries),
    )));
}

it('has nothing to say before the machine is taken in', function () {
    expect(receiptOf())->toBeNull();
});

it('says what came, in the words of whoever took it in', function () {
    $receipt = receiptOf(['intake.take-in', 7, ['evidence' => [
        'condition' => ' scratched lid ', 'accessories' => 'charger,  bag ,',
    ]]]);
    expect([$receipt->takenAt, $receipt->condition, $receipt->came])->toBe([7, 'scratched lid', ['charger', 'bag']])
        ->and([$receipt->backAt, $receipt->went, $receipt->receivedBy, $receipt->copyUntil])
        ->toBe([null, null, '', ''])
        ->and($receipt->machine)->toBe(Demo::plan('fairlead-13')->job->machine)
        ->and($receipt->wish)->toBe('clean install from a stick');
    expect(receiptOf(['intake.take-in', 7, ['evidence' => ['accessories' => 'Nothing']]])->came)->toBe([])
        ->and(receiptOf(['intake.take-in', 7, []])->condition)->toBe('');
});

it('says what went back, what did not, and why that was accepted', function () {
    $in = ['intake.take-in', 7, ['evidence' => ['condition' => 'fine', 'accessories' => 'charger, bag']]];
    $back = fn (string $verdict) => receiptOf($in, ['hand-over.give-back', 99, [
        'evidence' => ['accessories_back' => 'charger', 'received_by' => 'Ines', 'delete_by' => '2026-12-24'],
        'findings' => ['accessories_back' => ['verdict' => $verdict, 'words' => 'bag is missing']],
        'overruled' => $verdict === 'differs' ? ['accessories_back' => 'comes by post'] : [],
    ]]);
    $differs = $back('differs');
    expect([$differs->backAt, $differs->went, $differs->missing, $differs->accepted])
        ->toBe([99, ['charger'], 'bag is missing', 'comes by post'])
        ->and([$differs->receivedBy, $differs->copyUntil])->toBe(['Ines', '2026-12-24'])
        ->and([$back('equal')->missing, $back('equal')->accepted])->toBe(['', '']);
});

it('names the machine by its serial where one is known', function () {
    $of = fn (array $changes): ?string => Receipt::of(Progress::of(Demo::plan('fairlead-13', $changes), [
        Demo::entry(1, EntryKind::Done, 'intake.take-in', 7, []),
    ]))?->serial;
    expect($of(['machine' => ['facts' => ['machine.serial' => 'NF13-1']]]))->toBe('NF13-1')
        ->and($of(['machine' => ['facts' => []]]))->toBe('');
});
