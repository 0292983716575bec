<?php

use Cobblestone\Bench\Bell;
use Cobblestone\Bench\JobSummary;
use Cobblestone\Bench\Reminders;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Progress;
use Tests\Support\Demo;

const DAY = 86400;

function upgradePlan(): Plan
{
    return Demo::planned(
        [Demo::step('install.upgrade'), Demo::step('end')],
        assessment: ['rollback' => ['step' => 'install.upgrade', 'days' => 10]],
    );
}

/** @return list<array{at: int, what: string}> */
function reminded(Plan $plan, LogEntry ...$entries): array
{
    return Reminders::of(Progress::of($plan, array_values($entries)), 'UTC');
}

it('reminds of what a job waits for, in words', function (array $data, ?string $words) {
    $reminders = reminded(upgradePlan(), Demo::entry(1, EntryKind::Waiting, null, 5, $data));
    expect($reminders)->toBe($words === null ? [] : [['at' => 100, 'what' => $words]]);
})->with([
    [['for' => 'owner', 'remind' => 100], 'waits for the owner\'s answer'],
    [['for' => 'part', 'remind' => 100, 'text' => 'a fan'], 'waits for a part: a fan'],
    [['for' => 'licence', 'remind' => 100], 'waits for a licence'],
    [['for' => 'pick-up', 'remind' => 100], 'waits for pick-up'],
    [['for' => 'rain', 'remind' => 100, 'text' => 'x'], 'waits for rain: x'],
    [['for' => 'owner'], null],
]);

it('reminds three days and one day before the way back ends, until it is lost or seen', function () {
    $done = Demo::entry(1, EntryKind::Done, 'install.upgrade', DAY);
    expect(array_column(reminded(upgradePlan(), $done), 'at'))
        ->toBe([DAY * 8, DAY * 10])
        ->and(reminded(upgradePlan(), $done)[0]['what'])
        ->toStartWith('the upgrade can be taken back until ')
        ->and(reminded(upgradePlan()))
        ->toBe([])
        ->and(reminded(Demo::planOf([Demo::step('install.upgrade')]), $done))
        ->toBe([])
        ->and(reminded(upgradePlan(), $done, Demo::entry(2, EntryKind::RollbackLost, null, DAY * 2)))
        ->toBe([])
        ->and(array_column(reminded(upgradePlan(), $done, Demo::entry(2, EntryKind::Reminded, null, DAY * 8)), 'at'))
        ->toBe([DAY * 10])
        ->and(
            array_column(
                reminded(upgradePlan(), $done, Demo::entry(2, EntryKind::Reminded, null, DAY * 8 - 1)),
                'at',
            ),
        )
        ->toBe([DAY * 8, DAY * 10]);
});

it('puts the earliest reminder first', function () {
    $wait = Demo::entry(2, EntryKind::Waiting, null, DAY * 2, ['for' => 'part', 'remind' => DAY * 9]);
    $all = reminded(upgradePlan(), Demo::entry(1, EntryKind::Done, 'install.upgrade', DAY), $wait);
    expect(array_column($all, 'at'))->toBe([DAY * 8, DAY * 9, DAY * 10]);
});

it('rings once for what is due to be remembered, also while the job waits or is handed over', function (
    int $now,
    int $rings,
) {
    $progress = Progress::of(upgradePlan(), [
        Demo::entry(1, EntryKind::Done, 'install.upgrade', 0),
        Demo::entry(2, EntryKind::Waiting, null, 0, ['for' => 'part', 'remind' => 50]),
    ]);
    $job = ['id' => 7, 'slot' => null, 'title' => 'T', 'summary' => JobSummary::of($progress)];
    $items = Bell::ring([$job, ['id' => 8] + $job], $now);
    expect($items)->toHaveCount($rings * 2);
    foreach ($items as $item) {
        expect($item)->toMatchArray([
            'slot' => null,
            'title' => 'T',
            'step' => '',
            'action' => 'waits for a part',
            'due' => 0,
            'overdue' => false,
        ]);
    }
})->with([[49, 0], [50, 1], [DAY * 20, 1]]);

it('leaves a waiting job out and goes on with the next one', function () {
    $plan = Demo::planOf([Demo::step('look'), Demo::step('work')]);
    $waits = JobSummary::of(
        Progress::of($plan, [
            Demo::entry(1, EntryKind::Done, 'look', 1),
            Demo::entry(2, EntryKind::Waiting, null, 2, ['for' => 'part']),
        ]),
    );
    $works = JobSummary::of(Progress::of($plan, [Demo::entry(1, EntryKind::Done, 'look', 1)]));
    $ring = Bell::ring(
        [
            ['id' => 1, 'slot' => 1, 'title' => 'A', 'summary' => $waits],
            ['id' => 2, 'slot' => null, 'title' => 'B', 'summary' => $works],
            ['id' => 3, 'slot' => 2, 'title' => 'C', 'summary' => $works],
        ],
        9,
    );
    expect(array_column($ring, 'job'))
        ->toBe([3, 2])
        ->and($ring[0]['due'])
        ->toBe(0)
        ->and(
            array_column(
                Bell::ring(
                    [
                        ['id' => 9, 'slot' => 101, 'title' => 'A', 'summary' => $works],
                        ['id' => 8, 'slot' => null, 'title' => 'B', 'summary' => $works],
                        ['id' => 7, 'slot' => 99, 'title' => 'C', 'summary' => $works],
                    ],
                    9,
                ),
                'job',
            ),
        )
        ->toBe([7, 8, 9]);
});

it('sums up what shuts the first stone that is shut, and nothing once it is handed over', function () {
    $gate = new Gate('answer-x', 'answered.x', 'Which one?', '');
    $plan = Demo::planOf([
        Demo::step('look'),
        Demo::step('pick', [], [], gates: [$gate]),
        Demo::step('again', [], [], gates: [new Gate('answer-y', 'answered.y', 'How?', '')]),
    ]);
    $summary = JobSummary::of(Progress::of($plan, []));
    expect($summary['shut'])
        ->toBe([['word' => 'needs an answer', 'reason' => 'Which one?']])
        ->and($summary['current'])
        ->toMatchArray([
            'id' => 'look',
            'title' => 'Look',
            'presence' => 'hands',
            'state' => 'ready',
            'shut' => [],
            'started_at' => null,
            'high' => 240,
        ])
        ->and($summary['complete'])
        ->toBeFalse()
        ->and($summary['reminders'])
        ->toBe([])
        ->and($summary['waiting'])
        ->toBeNull();
    $done = JobSummary::of(Progress::of(Demo::planOf($plan->steps, ['job.handed-over']), []));
    expect($done['shut'])->toBe([])->and($done['complete'])->toBeTrue();
});
